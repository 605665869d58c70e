package isokinon.journeys;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;

/**
 * A journey at the demo mill, and a browser to walk through it. The mill runs on for the next
 * journey: to start it takes longer than many of them. So each journey has pumps and lots of its
 * own, and what it counts it counts on those.
 */
abstract class AtTheMill {

  static RunningApp mill;
  static Shop shop;

  @BeforeAll
  static void opens() {
    mill = RunningApp.sharedDemo();
    shop = new Shop(mill);
  }

  @AfterAll
  static void closes() {
    shop.close();
  }
}
