package isokinon.server.work.wetends;

import isokinon.server.work.shared.Text;
import isokinon.server.work.wetends.ChooserView.KitChoice;
import java.util.List;
import java.util.Optional;

/**
 * A cheaper kit that the duty lets a pump come down to, on the hardware that is in it.
 *
 * @param savedPer1000h pounds
 * @param evidence what is known here of the cheaper kit
 */
public record CheaperKit(
    String from, String to, double savedPer1000h, String say, String evidence) {

  /** What a pump comes down to among its kits; empty where nothing cheaper stands the duty. */
  static Optional<CheaperKit> among(List<KitChoice> kits) {
    Optional<KitChoice> now =
        kits.stream().filter(k -> k.fittedNow() && k.costPer1000h().isPresent()).findFirst();
    Optional<KitChoice> cheapest =
        kits.stream()
            .filter(k -> k.costPer1000h().isPresent() && k.hardwarePrice() == 0)
            .findFirst();
    if (now.isEmpty() || cheapest.isEmpty() || cheapest.get().fittedNow()) {
      return Optional.empty();
    }
    double saved = now.get().costPer1000h().get() - cheapest.get().costPer1000h().get();
    if (saved <= 0 || cheapest.get().price() >= now.get().price()) {
      return Optional.empty();
    }
    String say =
        "This duty lets it come down from "
            + now.get().material()
            + " to "
            + cheapest.get().material()
            + ": it "
            + (cheapest.get().hardwareNote().isEmpty()
                ? "needs nothing else"
                : cheapest.get().hardwareNote())
            + " and saves ¤"
            + Text.plain(Math.round(saved))
            + " per 1000 h.";
    return Optional.of(
        new CheaperKit(
            now.get().material(),
            cheapest.get().material(),
            saved,
            say,
            cheapest.get().evidence()));
  }
}
