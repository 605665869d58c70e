package isokinon.server.work.symptoms;

import java.util.List;

/** What is known so far: ids of symptoms and of tests. */
public record SymptomQuestion(
    List<String> seen, List<String> not, List<String> yes, List<String> no) {

  /** Absent lists count as empty. */
  public SymptomQuestion {
    seen = seen == null ? List.of() : List.copyOf(seen);
    not = not == null ? List.of() : List.copyOf(not);
    yes = yes == null ? List.of() : List.copyOf(yes);
    no = no == null ? List.of() : List.copyOf(no);
  }
}
