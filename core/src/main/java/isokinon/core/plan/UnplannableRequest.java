package isokinon.core.plan;

import java.util.List;

/** A plan that cannot be made, with every reason. */
public final class UnplannableRequest extends RuntimeException {

  private static final long serialVersionUID = 1L;

  /**
   * One reason.
   *
   * @param path the field of the request, for example {@code renew[0]}
   * @param message a sentence
   */
  public record Reason(String path, String message) {}

  private final transient List<Reason> reasons;

  UnplannableRequest(List<Reason> reasons) {
    super(reasons.get(0).message());
    this.reasons = List.copyOf(reasons);
  }

  /** Every reason, at least one. */
  public List<Reason> reasons() {
    return reasons;
  }
}
