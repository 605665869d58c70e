package isokinon.journeys;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;

/**
 * A journey at a demo mill that nobody else walks through: it holds kits for the whole mill, or
 * kills the server.
 */
abstract class AtItsOwnMill {

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
