package isokinon.server.work.lives;

import isokinon.server.db.pumps.PumpRow;
import isokinon.server.work.library.ShopLibrary;
import isokinon.server.work.shared.Text;
import org.springframework.stereotype.Component;

/** Forecasts of the sets that run now. */
@Component
public class Forecasts {

  private final LifeService lives;
  private final ShopLibrary library;

  public Forecasts(LifeService lives, ShopLibrary library) {
    this.lives = lives;
    this.library = library;
  }

  /** When a pump's set will run out. */
  public Forecast of(PumpRow pump) {
    LifeSnapshot shop = lives.now();
    return of(shop.life(shop.standing(pump.tag())));
  }

  /** When the set of a life will run out. */
  public Forecast of(LifeSnapshot.Life life) {
    return new Forecast(life, duty(life.standing().duty()));
  }

  /** What a duty group is called; empty where a pump moves air. */
  public String duty(String group) {
    return library.materials().fluid(group).map(f -> f.name()).orElse(Text.words(group));
  }
}
