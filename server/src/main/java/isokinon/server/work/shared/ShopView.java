package isokinon.server.work.shared;

/**
 * What a shop has said of itself, or what is taken where it has not.
 *
 * @param name what it is called
 * @param labourPerHour what an hour at the bench costs, in its currency
 * @param overtimePerHour what an hour outside the usual ones costs, in its currency
 * @param currency three letters of ISO 4217
 * @param zone by the clock of which place it lives
 * @param watchFromPct chance of failing within 30 days from which a pump is to be watched, percent
 * @param renewFromPct the same from which it is to be renewed, percent
 * @param worthAYear what a habit must cost a year to be told, in its currency
 * @param shownIn in what it is shown what it has
 */
public record ShopView(
    String name,
    double labourPerHour,
    double overtimePerHour,
    String currency,
    String zone,
    double watchFromPct,
    double renewFromPct,
    double worthAYear,
    ShownIn shownIn) {

  /** What the settings say. */
  public static ShopView of(ShopSettings settings) {
    return new ShopView(
        settings.name(),
        settings.labourPerHour(),
        settings.labourPerHour() * (1 + settings.overtime()),
        settings.currency().code(),
        settings.zone().getId(),
        100 * settings.rules().watchFrom(),
        100 * settings.rules().renewFrom(),
        settings.rules().worthAYear(),
        ShownIn.of(settings));
  }
}
