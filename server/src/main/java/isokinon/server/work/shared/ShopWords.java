package isokinon.server.work.shared;

import org.springframework.stereotype.Component;

/**
 * Puts what is said into the shop's own words: its currency, its units, its order of a day. Records
 * and everything that is computed stay as they are; only what goes to a screen or onto paper is put
 * so, at the last moment.
 */
@Component
public class ShopWords {

  private final ShopSettings settings;

  public ShopWords(ShopSettings settings) {
    this.settings = settings;
  }

  /** A sentence of ours in the shop's words. */
  public String of(String sentence) {
    return settings.dayOrder().sentence(settings.units().sentence(money(sentence)));
  }

  /** The same with the sign of the shop's currency only. */
  public String money(String sentence) {
    return sentence.contains(ShopCurrency.SIGN)
        ? sentence.replace(ShopCurrency.SIGN, settings.currency().sign())
        : sentence;
  }
}
