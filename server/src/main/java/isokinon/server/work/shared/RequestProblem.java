package isokinon.server.work.shared;

import java.util.List;
import java.util.function.Supplier;

/** A request that cannot be done as it stands, with a sentence for every field at fault. */
public class RequestProblem extends RuntimeException {

  private static final long serialVersionUID = 1L;

  /** A field and what is wrong with it; {@code line} is 0 where no file line is known. */
  public record Fault(String path, String message, int line) {
    /** A fault without a file line. */
    public Fault(String path, String message) {
      this(path, message, 0);
    }
  }

  private final int status;
  private final transient List<Fault> faults;

  /** Bad input (400) or a state that forbids it (422). */
  public RequestProblem(int status, List<Fault> faults) {
    super(faults.get(0).message());
    this.status = status;
    this.faults = List.copyOf(faults);
  }

  /** One fault. */
  public static RequestProblem of(int status, String path, String message) {
    return new RequestProblem(status, List.of(new Fault(path, message)));
  }

  /** Nothing of this name exists. */
  public static RequestProblem missing(String message) {
    return of(404, "", message);
  }

  /** The HTTP status that fits. */
  public int status() {
    return status;
  }

  /** Every fault, at least one. */
  public List<Fault> faults() {
    return faults;
  }

  /**
   * A kernel's answer to a question whose values may be out of range.
   *
   * @throws RequestProblem naming the field, which the kernel's sentence begins with
   */
  public static <T> T answered(Supplier<T> kernel) {
    try {
      return kernel.get();
    } catch (IllegalArgumentException e) {
      String field = e.getMessage().split("[ :]", 2)[0];
      throw of(400, field, e.getMessage());
    }
  }
}
