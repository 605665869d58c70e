package isokinon.core.schedule;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Who and what is taken when, while jobs are placed. Jobs, people and fixtures are numbered. */
final class Occupancy {

  /** No opening: the job is left out. */
  static final int OUT = -1;

  private static final int NOBODY = -1;

  final int jobs;
  final boolean[] pinned;
  final int[] slots;
  final long[] unplaced;
  final int[][] starts;
  final int[][] people;
  final long[][] costs;

  /** The opening each job stands in, or {@link #OUT}. */
  final int[] at;

  private final Map<String, Integer> personOf = new HashMap<>();
  private final int[][] doneBy;
  private final int[] fixture;
  private final int[] pieces;
  private final List<List<Integer>> sharing = new ArrayList<>();
  private final List<List<Integer>> pairs = new ArrayList<>();
  private final int[] pinnedAt;
  private final int end;

  Occupancy(List<Job> all, List<Fixture> fixtures) {
    jobs = all.size();
    pinned = new boolean[jobs];
    slots = all.stream().mapToInt(Job::slots).toArray();
    unplaced = all.stream().mapToLong(Job::unplaced).toArray();
    starts = new int[jobs][];
    people = new int[jobs][];
    costs = new long[jobs][];
    at = new int[jobs];
    fixture = new int[jobs];
    pinnedAt = new int[jobs];
    Arrays.fill(at, OUT);
    int last = 0;
    Map<String, Integer> number = new HashMap<>();
    for (int j = 0; j < jobs; j++) {
      Job job = all.get(j);
      number.put(job.pump(), j);
      int count = job.pinned().isPresent() ? 0 : job.openings().size();
      starts[j] = new int[count];
      people[j] = new int[count];
      costs[j] = count == 0 ? new long[0] : job.costs();
      for (int o = 0; o < count; o++) {
        starts[j][o] = job.openings().get(o).start();
        people[j][o] = person(job.openings().get(o).person());
        last = Math.max(last, starts[j][o] + slots[j]);
      }
      pinned[j] = job.pinned().isPresent();
      if (pinned[j]) {
        person(job.pinned().get().person());
        pinnedAt[j] = job.pinned().get().start();
        last = Math.max(last, pinnedAt[j] + slots[j]);
      }
    }
    end = last;
    pieces = fixtures.stream().mapToInt(Fixture::pieces).toArray();
    List<String> names = fixtures.stream().map(Fixture::id).toList();
    names.forEach(n -> sharing.add(new ArrayList<>()));
    all.forEach(j -> pairs.add(new ArrayList<>()));
    doneBy = new int[personOf.size()][end];
    for (int[] hours : doneBy) {
      Arrays.fill(hours, NOBODY);
    }
    for (int j = 0; j < jobs; j++) {
      Job job = all.get(j);
      fixture[j] = names.indexOf(job.fixture());
      if (fixture[j] >= 0) {
        sharing.get(fixture[j]).add(j);
      }
      Integer other = number.get(job.pair());
      if (other != null && other != j) {
        pairs.get(j).add(other);
        pairs.get(other).add(j);
      }
    }
    for (int j = 0; j < jobs; j++) {
      if (pinned[j]) {
        int who = person(all.get(j).pinned().get().person());
        Arrays.fill(doneBy[who], Math.max(0, pinnedAt[j]), Math.max(0, pinnedAt[j] + slots[j]), j);
      }
    }
  }

  private int person(String initials) {
    return personOf.computeIfAbsent(initials, i -> personOf.size());
  }

  int people() {
    return doneBy.length;
  }

  /** The slot behind the last. */
  int end() {
    return end;
  }

  private int start(int j) {
    return pinned[j] ? pinnedAt[j] : starts[j][at[j]];
  }

  private boolean stands(int j) {
    return pinned[j] || at[j] != OUT;
  }

  private boolean meets(int j, int start, int other) {
    return stands(other) && start(other) < start + slots[j] && start < start(other) + slots[other];
  }

  /** What a job costs where it stands; a pinned one costs nothing that could be saved. */
  long cost(int j) {
    return pinned[j] ? 0 : at[j] == OUT ? unplaced[j] : costs[j][at[j]];
  }

  long cost() {
    long all = 0;
    for (int j = 0; j < jobs; j++) {
      all += cost(j);
    }
    return all;
  }

  /** Whether a job could stand in an opening without any other giving way. */
  boolean free(int j, int opening) {
    int start = starts[j][opening];
    int[] hours = doneBy[people[j][opening]];
    for (int t = start; t < start + slots[j]; t++) {
      if (hours[t] != NOBODY && hours[t] != j) {
        return false;
      }
    }
    for (int other : pairs.get(j)) {
      if (meets(j, start, other)) {
        return false;
      }
    }
    return fixture[j] < 0 || mostAtOnce(j, start) < pieces[fixture[j]];
  }

  /** Most other jobs that hold the fixture of a job at the same moment, were it to start then. */
  private int mostAtOnce(int j, int start) {
    int most = 0;
    for (int other : sharing.get(fixture[j])) {
      if (other != j && meets(j, start, other)) {
        // The most are there when one of them begins, or when this one does.
        int moment = Math.max(start, start(other));
        int then = 0;
        for (int third : sharing.get(fixture[j])) {
          if (third != j
              && stands(third)
              && start(third) <= moment
              && moment < start(third) + slots[third]) {
            then++;
          }
        }
        most = Math.max(most, then);
      }
    }
    return most;
  }

  /** The jobs that would have to give way, were a job to stand in an opening. */
  List<Integer> inTheWay(int j, int opening) {
    List<Integer> way = new ArrayList<>();
    int start = starts[j][opening];
    int[] hours = doneBy[people[j][opening]];
    for (int t = start; t < start + slots[j]; t++) {
      if (hours[t] != NOBODY && hours[t] != j && !way.contains(hours[t])) {
        way.add(hours[t]);
      }
    }
    for (int other : pairs.get(j)) {
      if (meets(j, start, other) && !way.contains(other)) {
        way.add(other);
      }
    }
    if (fixture[j] >= 0 && mostAtOnce(j, start) >= pieces[fixture[j]]) {
      for (int other : sharing.get(fixture[j])) {
        if (other != j && meets(j, start, other) && !way.contains(other)) {
          way.add(other);
        }
      }
    }
    return way;
  }

  void put(int j, int opening) {
    takeOut(j);
    if (opening != OUT) {
      at[j] = opening;
      fill(j, j);
    }
  }

  void takeOut(int j) {
    if (at[j] != OUT) {
      fill(j, NOBODY);
      at[j] = OUT;
    }
  }

  private void fill(int j, int by) {
    int start = starts[j][at[j]];
    Arrays.fill(doneBy[people[j][at[j]]], start, start + slots[j], by);
  }

  /** The cheapest opening under {@code most} that is free; {@link #OUT} where there is none. */
  int cheapestFree(int j, long most) {
    for (int o = 0; o < costs[j].length && costs[j][o] < most; o++) {
      if (free(j, o)) {
        return o;
      }
    }
    return OUT;
  }
}
