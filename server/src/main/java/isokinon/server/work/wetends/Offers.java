package isokinon.server.work.wetends;

import isokinon.core.wetend.Duty;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Topic;
import isokinon.server.db.materials.WetKitRow;
import isokinon.server.work.library.Catalogue;
import isokinon.server.work.lives.LifeService;
import isokinon.server.work.lives.LifeSnapshot.GroupEvidence;
import isokinon.server.work.shared.CachedByKey;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * What a pump's duty lets it come down to. Pumps that are alike in all it rests on are asked once.
 */
@Component
public class Offers {

  private final WetEnds wetEnds;
  private final ChoiceSettings settings;
  private final Catalogue catalogue;
  private final LifeService lives;
  private final CachedByKey<String, ChoiceSetting> settingOf;
  private final CachedByKey<Alike, Optional<CheaperKit>> known;

  /** All that an offer rests on, with what the runs say of each kit that could go in. */
  private record Alike(
      String sheet,
      int revision,
      List<String> madeBy,
      String lead,
      Map<String, String> inPump,
      String hardware,
      double rotorClassMm,
      double stopCost,
      Duty duty,
      List<GroupEvidence> evidence) {}

  Offers(
      WetEnds wetEnds,
      ChoiceSettings settings,
      Catalogue catalogue,
      LifeService lives,
      DataVersions versions) {
    this.wetEnds = wetEnds;
    this.settings = settings;
    this.catalogue = catalogue;
    this.lives = lives;
    this.settingOf =
        new CachedByKey<>(
            versions,
            EnumSet.of(Topic.PUMPS, Topic.DUTIES, Topic.FITTED, Topic.SHEETS, Topic.MATERIALS));
    this.known = new CachedByKey<>(versions, EnumSet.of(Topic.CATALOGUE, Topic.MATERIALS));
  }

  /** What a pump's duty lets it come down to; empty where nothing cheaper stands it. */
  @Transactional(readOnly = true)
  public Optional<CheaperKit> of(String tag) {
    ChoiceSetting s =
        settingOf.get(tag, t -> settings.of(new WetEnds.Question(t, null, null, null, null)));
    return s.sheet()
        .flatMap(
            sheet ->
                known.get(
                    new Alike(
                        sheet.id(),
                        sheet.revision(),
                        s.madeBy(),
                        s.lead(),
                        s.inPump(),
                        s.wetEnd().hardware(),
                        s.wetEnd().rotorClassMm(),
                        s.stopCost(),
                        s.duty(),
                        evidence(s, sheet.id())),
                    k -> CheaperKit.among(wetEnds.kits(s))));
  }

  private List<GroupEvidence> evidence(ChoiceSetting s, String sheet) {
    return catalogue.kits(sheet).stream()
        .map(WetKitRow::material)
        .distinct()
        .map(m -> lives.like(s.lead(), m, s.dutyGroup()))
        .toList();
  }
}
