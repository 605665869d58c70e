package isokinon.core.wetend;

import isokinon.core.sheet.Family;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Which parts make up the wet end of each family, the one that wears out first of all first. */
public final class Roles {

  public static final String BACKUP = "backup";
  public static final String BALL = "ball";
  public static final String BODY = "body";
  public static final String BUSHING = "bushing";
  public static final String DIAPHRAGM = "diaphragm";
  public static final String HOSE = "hose";
  public static final String MAGNET = "magnet";
  public static final String ROTOR = "rotor";
  public static final String SEAT = "seat";
  public static final String SHAFT_SEAL = "shaft-seal";
  public static final String SHELL = "shell";
  public static final String STATOR = "stator";
  public static final String TUBE = "tube";

  private static final Set<String> DRY = Set.of(BACKUP, MAGNET);

  private static final Map<Family, List<String>> OF =
      Map.of(
          Family.AIR_DIAPHRAGM, List.of(DIAPHRAGM, BACKUP, BALL, SEAT, "o-ring", BODY),
          Family.LINEAR_DIAPHRAGM, List.of(DIAPHRAGM, BODY),
          Family.OIL_DIAPHRAGM, List.of(DIAPHRAGM, BALL, SEAT, "o-ring", BODY),
          Family.PERISTALTIC, List.of(TUBE, HOSE),
          Family.PROGRESSING_CAVITY, List.of(STATOR, ROTOR, "boot", SHAFT_SEAL, "o-ring", BODY),
          Family.MAGNETIC_DRIVE, List.of(BUSHING, SHELL, "o-ring", MAGNET, BODY),
          Family.ROTARY_LOBE, List.of("lobe-seal", "o-ring", BODY),
          Family.MIXER_DRIVE, List.of(BUSHING, "o-ring", BODY));

  private Roles() {}

  /** The roles of a family, leading one first. */
  public static List<String> of(Family family) {
    return OF.get(family);
  }

  /** Whether the fluid touches a part of this role while the pump is whole. */
  public static boolean wetted(String role) {
    return !DRY.contains(role);
  }
}
