package isokinon.server.work.shared;

/**
 * What a shop has said of itself, or what is taken where it has not.
 *
 * @param name what it is called
 * @param labourPerHour what an hour at the bench costs, in its currency
 * @param overtimePerHour what an hour outside the usual ones costs, in its currency
 * @param currency three letters of ISO 4217
 * @param zone by the clock of which place it lives
 * @param shownIn in what it is shown what it has
 */
public record ShopView(
    String name,
    double labourPerHour,
    double overtimePerHour,
    String currency,
    String zone,
    ShownIn shownIn) {

  /** What the settings say. */
  public static ShopView of(ShopSettings settings) {
    return new ShopView(
        settings.name(),
        settings.labourPerHour(),
        settings.labourPerHour() * (1 + settings.overtime()),
        settings.currency().code(),
        settings.zone().getId(),
        ShownIn.of(settings));
  }
}
