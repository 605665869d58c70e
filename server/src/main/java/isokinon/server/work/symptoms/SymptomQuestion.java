package isokinon.server.work.symptoms;

import java.util.List;
import java.util.Optional;

/**
 * What is known so far.
 *
 * @param seen symptoms that were seen, ids
 * @param not symptoms that were looked for and not seen, ids
 * @param yes tests that answered yes, ids
 * @param no tests that answered no, ids
 * @param job number of the rebuild whose proof it does not hold; absent before a strip
 */
public record SymptomQuestion(
    List<String> seen, List<String> not, List<String> yes, List<String> no, Optional<Long> job) {

  /** Absent lists count as empty. */
  public SymptomQuestion {
    seen = seen == null ? List.of() : List.copyOf(seen);
    not = not == null ? List.of() : List.copyOf(not);
    yes = yes == null ? List.of() : List.copyOf(yes);
    no = no == null ? List.of() : List.copyOf(no);
    job = job == null ? Optional.empty() : job;
  }
}
