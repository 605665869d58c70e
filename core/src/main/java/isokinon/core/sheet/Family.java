package isokinon.core.sheet;

import isokinon.core.value.Code;
import java.util.List;

/** The families of constructions a sheet can belong to. */
public enum Family implements Code {
  AIR_DIAPHRAGM("diaphragm"),
  LINEAR_DIAPHRAGM("diaphragm"),
  OIL_DIAPHRAGM("diaphragm"),
  PERISTALTIC("tube", "hose"),
  PROGRESSING_CAVITY("stator"),
  MAGNETIC_DRIVE("bushing"),
  ROTARY_LOBE("lobe-seal"),
  MIXER_DRIVE("bushing");

  private final List<String> wearRoles;

  Family(String... wearRoles) {
    this.wearRoles = List.of(wearRoles);
  }

  /** Roles of the part whose wear decides when such a pump is rebuilt; a sheet has one of them. */
  public List<String> wearRoles() {
    return wearRoles;
  }
}
