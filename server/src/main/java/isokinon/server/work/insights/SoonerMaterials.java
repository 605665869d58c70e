package isokinon.server.work.insights;

import isokinon.core.life.LifeGroups;
import isokinon.core.life.LifeGroups.Group;
import isokinon.core.life.LifeGroups.Level;
import isokinon.core.life.LifeGroups.WearRun;
import isokinon.core.life.LogRank;
import isokinon.server.work.insights.Insights.InsightView;
import isokinon.server.work.insights.Insights.Kind;
import isokinon.server.work.shared.StateMark;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Materials that give out sooner than others in the same duty. */
record SoonerMaterials(FindWords words) {

  private record Place(String role, String duty) {}

  private record Side(Group group, LogRank.Sample runs) {}

  Stream<InsightView> among(LifeGroups groups) {
    Map<Place, List<Side>> sides =
        groups.all(Level.DUTY).stream()
            .collect(
                Collectors.groupingBy(
                    g -> new Place(g.of().role(), g.of().duty()),
                    Collectors.mapping(
                        g -> new Side(g, LogRank.Sample.of(g.ages(false))), Collectors.toList())));
    // So many questions are asked at once that one in twenty would be answered by chance.
    long asked = sides.values().stream().mapToLong(s -> (long) s.size() * (s.size() - 1) / 2).sum();
    return sides.values().stream().flatMap(s -> worse(s, LogRank.LEVEL / Math.max(1, asked)));
  }

  private Stream<InsightView> worse(List<Side> sides, double level) {
    List<InsightView> finds = new ArrayList<>();
    for (Side worse : sides) {
      sides.stream()
          .filter(s -> s != worse)
          .map(s -> Map.entry(s, LogRank.of(worse.runs(), s.runs())))
          .filter(e -> e.getValue().verdict() == LogRank.Verdict.FIRST_SHORTER)
          .filter(e -> e.getValue().probability() <= level)
          .min(Comparator.comparingDouble(e -> e.getValue().probability()))
          .ifPresent(e -> finds.add(sooner(worse, e.getKey(), e.getValue())));
    }
    return finds.stream();
  }

  private InsightView sooner(Side worse, Side better, LogRank test) {
    List<String> still =
        worse.group().runs().stream().filter(WearRun::running).map(WearRun::pump).sorted().toList();
    String chance =
        test.probability() < 0.001
            ? "less than once in a thousand times"
            : String.format(Locale.ROOT, "%.1f times in a hundred", 100 * test.probability());
    return FindWords.about(
        Kind.MATERIAL,
        still.isEmpty() ? StateMark.SOUND : StateMark.RENEW,
        words.parts(worse.group())
            + " give out sooner than those of "
            + better.group().of().material()
            + (still.isEmpty()
                ? "; none runs any more."
                : "; "
                    + String.join(", ", still)
                    + (still.size() == 1 ? " still runs" : " still run")
                    + " it."),
        FindWords.failed(worse.group())
            + " against "
            + FindWords.failed(better.group())
            + "; by chance such a difference comes "
            + chance
            + " (log-rank).",
        Optional.empty(),
        worse.group().of());
  }
}
