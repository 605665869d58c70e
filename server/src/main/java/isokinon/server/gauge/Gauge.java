package isokinon.server.gauge;

/**
 * The port through which a reading device is read. A real device is another implementation of it;
 * the rest of the application knows no other way to a gauge.
 */
public interface Gauge {

  /**
   * What a device shows at one moment.
   *
   * @param value the number on its display
   * @param unit the unit it is set to, which may be another than was asked for
   * @param steady whether it has settled
   * @param batteryPct charge left, %
   */
  record Sample(double value, String unit, boolean steady, int batteryPct) {}

  /**
   * Reads the display once.
   *
   * @throws Silent where the device does not answer, with what to do about it
   */
  Sample sample() throws Silent;

  /** A device that does not answer. */
  final class Silent extends Exception {
    private static final long serialVersionUID = 1L;

    /** With what to tell the person who waits for it. */
    public Silent(String message) {
      super(message);
    }
  }
}
