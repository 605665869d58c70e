package isokinon.core.act;

/** The eight stages of a rebuild, and the end. */
public enum Stage {
  TAKE_IN("Take in"),
  MAKE_SAFE("Make safe"),
  STRIP("Strip"),
  INSPECT("Inspect"),
  DECIDE("Decide"),
  BUILD("Build"),
  PROVE("Prove"),
  HAND_BACK("Hand back"),
  CLOSED("Closed");

  private final String title;

  Stage(String title) {
    this.title = title;
  }

  /** What the stage is called on screen. */
  public String title() {
    return title;
  }
}
