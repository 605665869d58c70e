package isokinon.server.work.diary;

import isokinon.server.db.diary.DiaryMapper.DiaryEntryRow;
import isokinon.server.work.diary.WorkList.Work;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Why a job cannot be pinned where other pinned jobs stand. */
final class PinClash {

  private PinClash() {}

  /** What else people put at the same time that does not go with it. */
  static Optional<String> of(
      DiaryEntryRow row, Work w, List<DiaryEntryRow> others, Map<String, Work> work) {
    List<DiaryEntryRow> meanwhile =
        others.stream()
            .filter(e -> e.startsAt().isBefore(row.endsAt()))
            .filter(e -> row.startsAt().isBefore(e.endsAt()))
            .toList();
    for (DiaryEntryRow e : meanwhile) {
      if (e.who().equals(row.who())) {
        return Optional.of(row.who() + " does " + e.pump() + " then, and that one is pinned.");
      }
      Work other = work.get(e.pump());
      boolean pair =
          e.pump().equals(w.pair()) || (other != null && row.pump().equals(other.pair()));
      if (pair) {
        return Optional.of(e.pump() + ", its pair, is pinned then; both must not be out together.");
      }
    }
    return w.fixture()
        .filter(
            f ->
                meanwhile.stream()
                        .map(e -> work.get(e.pump()))
                        .filter(o -> o != null && o.fixture().equals(w.fixture()))
                        .count()
                    >= f.pieces())
        .map(f -> "The " + f.title() + " is taken then by what is pinned.");
  }
}
