package isokinon.core.value;

/** A quantity that cannot be what was given. */
public class InvalidQuantity extends IllegalArgumentException {

  private static final long serialVersionUID = 1L;

  private final String field;

  /**
   * @param field name of the quantity, as the parameter is called
   * @param message one sentence
   */
  public InvalidQuantity(String field, String message) {
    super(message);
    this.field = field;
  }

  /** Name of the quantity, as the parameter is called. */
  public String field() {
    return field;
  }
}
