package isokinon.server.work.shared;

import isokinon.core.value.Fault;
import isokinon.core.value.InvalidQuantity;
import java.util.List;
import java.util.function.Supplier;

/**
 * A request that is not done, with a sentence for every field at fault. There are four kinds of it;
 * which HTTP status a kind has is decided where it is answered.
 */
public abstract sealed class RequestProblem extends RuntimeException {

  private static final long serialVersionUID = 1L;

  /** What was sent cannot be so: a field is missing, unreadable or out of range. */
  public static final class Invalid extends RequestProblem {
    private static final long serialVersionUID = 1L;

    private Invalid(List<Fault> faults) {
      super(faults);
    }
  }

  /** Nothing is called so. */
  public static final class NotFound extends RequestProblem {
    private static final long serialVersionUID = 1L;

    private NotFound(Fault fault) {
      super(List.of(fault));
    }
  }

  /** What was sent is right in itself and does not fit the state of things. */
  public static final class NotNow extends RequestProblem {
    private static final long serialVersionUID = 1L;

    private NotNow(List<Fault> faults) {
      super(faults);
    }
  }

  /** Somebody else acted first: whoever asked saw an older state than the one that holds. */
  public static final class Stale extends RequestProblem {
    private static final long serialVersionUID = 1L;

    private final transient Object now;

    private Stale(String message, Object now) {
      super(List.of(new Fault("seen", message)));
      this.now = now;
    }

    /** The state that holds now, as it is shown. */
    public Object now() {
      return now;
    }
  }

  private final transient List<Fault> faults;

  private RequestProblem(List<Fault> faults) {
    super(faults.get(0).message());
    this.faults = List.copyOf(faults);
  }

  /** A field that cannot be so. */
  public static Invalid invalid(String path, String message) {
    return invalid(List.of(new Fault(path, message)));
  }

  /** Fields that cannot be so. */
  public static Invalid invalid(List<Fault> faults) {
    return new Invalid(faults);
  }

  /** Something that does not fit the state of things. */
  public static NotNow notNow(String path, String message) {
    return notNow(List.of(new Fault(path, message)));
  }

  /** Several things that do not. */
  public static NotNow notNow(List<Fault> faults) {
    return new NotNow(faults);
  }

  /** Nothing of this name exists. */
  public static NotFound missing(String message) {
    return missing("", message);
  }

  /** Nothing of the name in this field exists. */
  public static NotFound missing(String path, String message) {
    return new NotFound(new Fault(path, message));
  }

  /** Somebody else acted first. */
  public static Stale stale(String message, Object now) {
    return new Stale(message, now);
  }

  /** Every fault, at least one. */
  public List<Fault> faults() {
    return faults;
  }

  /**
   * A kernel's answer to a question whose values may be out of range.
   *
   * @throws Invalid naming the field, where it is the fault of one
   */
  public static <T> T answered(Supplier<T> kernel) {
    try {
      return kernel.get();
    } catch (InvalidQuantity e) {
      throw invalid(e.field(), e.getMessage());
    } catch (IllegalArgumentException e) {
      throw invalid("", e.getMessage());
    }
  }
}
