package isokinon.journeys;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;

/**
 * A journey that has the demo mill running for all of its tests, and a browser to walk through it.
 */
abstract class AtTheMill {

  static RunningApp mill;
  static Shop shop;

  @BeforeAll
  static void opens() {
    mill = RunningApp.demo();
    shop = new Shop(mill);
  }

  @AfterAll
  static void closes() {
    shop.close();
    mill.close();
  }
}
