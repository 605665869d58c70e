package isokinon.core.sheet;

import java.util.List;

/**
 * Steps that come in this order where they are in the plan. It calls for none of them.
 *
 * @param steps ids, the first comes first
 * @param stripping whether it orders the strip; else it orders the build
 * @param because why, in words; may be empty
 * @param onlyFor the jobs it holds for
 */
public record StepOrder(List<String> steps, boolean stripping, String because, OnlyFor onlyFor) {

  /** Copies its list. */
  public StepOrder {
    steps = List.copyOf(steps);
  }
}
