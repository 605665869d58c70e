package isokinon.server.work.shared;

import java.util.Arrays;
import java.util.Comparator;
import java.util.Currency;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/**
 * A currency.
 *
 * @param code three letters of ISO 4217
 */
public record ShopCurrency(String code) {

  /** Stands for the sign of the shop's currency in every sentence we write. */
  public static final String SIGN = "\u00a4";

  private static final Set<String> COUNTRIES = Set.of(Locale.getISOCountries());

  private static final Map<String, String> SIGNS = new ConcurrentHashMap<>();

  /** The currency of these letters; empty where there is none. */
  public static Optional<ShopCurrency> of(String code) {
    return Currency.getAvailableCurrencies().stream()
        .map(Currency::getCurrencyCode)
        .filter(code::equals)
        .findFirst()
        .map(ShopCurrency::new);
  }

  /** That of the country the machine is set to; pounds where it is set to none. */
  static ShopCurrency ofTheMachine() {
    String country = Locale.getDefault().getCountry();
    return new ShopCurrency(
        !COUNTRIES.contains(country)
            ? "GBP"
            : Optional.ofNullable(Currency.getInstance(new Locale("", country)))
                .map(Currency::getCurrencyCode)
                .orElse("GBP"));
  }

  /**
   * What stands before an amount: the sign that those use who pay with it, with a space behind it
   * where it is a word; the three letters where there is no sign.
   */
  public String sign() {
    return SIGNS.computeIfAbsent(code, ShopCurrency::signOf);
  }

  private static String signOf(String code) {
    Currency currency = Currency.getInstance(code);
    String sign =
        Arrays.stream(Locale.getAvailableLocales())
            .filter(l -> l.getLanguage().length() == 2 && COUNTRIES.contains(l.getCountry()))
            .filter(l -> currency.equals(Currency.getInstance(l)))
            .map(currency::getSymbol)
            .min(Comparator.comparingInt(String::length).thenComparing(Comparator.naturalOrder()))
            .orElse(code);
    boolean word =
        Character.isLetterOrDigit(sign.codePointBefore(sign.length())) || sign.endsWith(".");
    return word ? sign + "\u00a0" : sign;
  }
}
