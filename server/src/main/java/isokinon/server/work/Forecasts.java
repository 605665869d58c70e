package isokinon.server.work;

import isokinon.server.db.PumpRow;
import org.springframework.stereotype.Component;

/** Forecasts of the sets that run now. */
@Component
class Forecasts {

  private final LifeService lives;
  private final ShopLibrary library;

  Forecasts(LifeService lives, ShopLibrary library) {
    this.lives = lives;
    this.library = library;
  }

  /** When a pump's set will run out. */
  Forecast of(PumpRow pump) {
    LifeSnapshot shop = lives.now();
    return of(shop.life(shop.standing(pump.tag())));
  }

  /** When the set of a life will run out. */
  Forecast of(LifeSnapshot.Life life) {
    return new Forecast(life, duty(life.standing().duty()));
  }

  /** What a duty group is called; empty where a pump moves air. */
  String duty(String group) {
    return library.materials().fluid(group).map(f -> f.name()).orElse(Text.words(group));
  }
}
