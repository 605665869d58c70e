package isokinon.server.work;

/** The ways to keep a wear part, as they are stored and sent. */
final class Policy {

  static final String FIXED = "fixed";
  static final String UNTIL_IT_FAILS = "until-it-fails";
  static final String LOOK = "look";

  private Policy() {}
}
