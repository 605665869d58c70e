package isokinon.core.year;

import isokinon.core.life.frailty.JointLives;
import isokinon.core.renewal.Policies;
import isokinon.core.renewal.Policies.Way;
import isokinon.core.schedule.Slots;
import java.util.Arrays;

/**
 * Plays years of one plan, one after another. Each day, sets fail, others come to be renewed, kits
 * come in, and the jobs that wait are set in where people have hours. For one thread.
 *
 * <p>A job comes into sight so many days ahead as the diary reaches: from then on a kit is kept or
 * ordered for it. Those that have failed are done first, the longest down first; then those that
 * lose most by waiting.
 */
final class YearPlay {

  /** So far ahead a job is seen, as in the diary, days. */
  static final int IN_SIGHT = 42;

  private static final int DAYS = YearOutcome.DAYS;
  private static final int HERE = 0;

  /** What a pump waits for next. */
  private enum Next {
    IN_SIGHT,
    WANTED,
    FAILS
  }

  private final YearPlan plan;
  private final YearPump[] pumps;
  private final Keeping[] kept;
  private final YearPump.Job[] jobs;
  private final YearOutcome out;
  private final JointLives.Draws[] draws;
  private final KitShelf shelf;
  private final BenchDay bench;
  private final int[][] waits;
  private final int[] waitYears;
  private final long[] used;
  private final int[] waitedWeek;
  private final boolean[] waitedYear;

  // Of each pump, in the year that is played; times in days from now.
  private final double[] shape;
  private final double[] scale;
  private final int[] set;
  private final double[] startAge;
  private final double[] startDay;
  private final double[] failDay;
  private final double[] wantedDay;
  private final Next[] next;
  private final boolean[] queued;
  private final boolean[] failed;
  private final int[] kitDay;
  private final double[] money;

  // Pumps by the day on which something happens next, as lists within arrays.
  private final int[] first = new int[DAYS];
  private final int[] after;
  private final int[] before;
  private final int[] eventDay;

  private final int[] queue;
  private int waiting;
  private Luck luck;
  private int year;

  /** What happened before this day is over: what comes of it is told of from this day on. */
  private int today;

  YearPlay(YearPlan plan, YearOutcome out) {
    this.plan = plan;
    this.out = out;
    int n = plan.pumps().size();
    pumps = plan.pumps().toArray(YearPump[]::new);
    kept = plan.kept().toArray(Keeping[]::new);
    jobs = plan.pumps().stream().map(YearPump::job).toArray(YearPump.Job[]::new);
    draws = plan.beliefs().stream().map(b -> b.lives().draws()).toArray(JointLives.Draws[]::new);
    shelf = new KitShelf(plan.shop().kits());
    bench = new BenchDay(plan.shop(), n);
    int kits = plan.shop().kits().size();
    waits = new int[kits][YearOutcome.WEEKS];
    waitYears = new int[kits];
    used = new long[kits];
    waitedWeek = new int[kits];
    waitedYear = new boolean[kits];
    shape = new double[n];
    scale = new double[n];
    set = new int[n];
    startAge = new double[n];
    startDay = new double[n];
    failDay = new double[n];
    wantedDay = new double[n];
    next = new Next[n];
    queued = new boolean[n];
    failed = new boolean[n];
    kitDay = new int[n];
    money = new double[n];
    after = new int[n];
    before = new int[n];
    eventDay = new int[n];
    queue = new int[n];
  }

  /** Plays one year and writes down what it came to. */
  void play(int number, long seed) {
    year = number;
    luck = new Luck(seed, number);
    begin();
    for (int day = 0; day < DAYS; day++) {
      today = day;
      for (int p = first[day]; p >= 0; p = first[day]) {
        remove(p);
        happens(p, day);
      }
      if (waiting > 0) {
        today = day + 1;
        work(day);
      }
    }
    end();
  }

  /** Adds what was counted over all years that this played. */
  void count() {
    synchronized (out) {
      for (int k = 0; k < waits.length; k++) {
        for (int w = 0; w < waits[k].length; w++) {
          out.waits()[k][w] += waits[k][w];
        }
        out.waitYears()[k] += waitYears[k];
        out.used()[k] += used[k];
      }
    }
  }

  // ---- lives ----------------------------------------------------------------------------------

  private void begin() {
    for (int b = 0; b < draws.length; b++) {
      draws[b].group(luck.ofGroup(plan.beliefs().get(b).luck()));
    }
    shelf.begin();
    bench.beginYear();
    Arrays.fill(first, -1);
    Arrays.fill(money, 0);
    Arrays.fill(waitedWeek, -1);
    Arrays.fill(waitedYear, false);
    Arrays.fill(eventDay, -1);
    waiting = 0;
    today = 0;
    for (int p = 0; p < pumps.length; p++) {
      YearPump pump = pumps[p];
      JointLives.Draws of = draws[pump.belief()];
      shape[p] = of.shape();
      scale[p] = of.scale(pump.place(), luck.ofPump(p)) * pump.mean();
      set[p] = 0;
      queued[p] = false;
      failed[p] = false;
      runs(p, pump.age(), 0);
    }
  }

  /** A set begins to run, or goes on, at an age. */
  private void runs(int p, double age, double from) {
    YearPump pump = pumps[p];
    Keeping k = kept[p];
    double hazard =
        (age > 0 ? Math.pow(age / scale[p], shape[p]) : 0) - Math.log(luck.ofSet(p, set[p]));
    double failAge = scale[p] * Math.pow(hazard, 1 / shape[p]);
    startAge[p] = age;
    startDay[p] = from;
    failDay[p] = from + Math.max(0, failAge - age) / pump.perDay();
    kitDay[p] = -1;
    wantedDay[p] =
        switch (k.way()) {
          case UNTIL_IT_FAILS -> Double.POSITIVE_INFINITY;
          case FIXED -> set[p] == 0 ? k.firstDay() : from + k.every() / pump.perDay();
          case LOOK -> {
            double warns = Math.ceil((1 - Policies.WARNING) * failAge / k.every());
            double look = Math.max(warns, Math.floor(age / k.every()) + 1) * k.every();
            yield look < failAge ? from + (look - age) / pump.perDay() : Double.POSITIVE_INFINITY;
          }
        };
    next[p] = Next.IN_SIGHT;
    put(p, Math.max(from, k.way() == Way.LOOK ? wantedDay[p] : wantedDay[p] - IN_SIGHT));
  }

  // ---- what happens ---------------------------------------------------------------------------

  /** Puts a pump on the day of what comes next, or of its failure where that comes first. */
  private void put(int p, double day) {
    double then = Math.min(day, failDay[p]);
    if (failDay[p] <= day) {
      next[p] = Next.FAILS;
    }
    int on = Math.max(today, (int) Math.min(DAYS, then));
    if (on < DAYS) {
      add(p, on);
    }
  }

  private void add(int p, int day) {
    eventDay[p] = day;
    after[p] = first[day];
    before[p] = -1;
    if (first[day] >= 0) {
      before[first[day]] = p;
    }
    first[day] = p;
  }

  private void remove(int p) {
    if (before[p] >= 0) {
      after[before[p]] = after[p];
    } else {
      first[eventDay[p]] = after[p];
    }
    if (after[p] >= 0) {
      before[after[p]] = before[p];
    }
    eventDay[p] = -1;
  }

  private void happens(int p, int day) {
    switch (next[p]) {
      case IN_SIGHT -> {
        keepKit(p, day);
        next[p] = Next.WANTED;
        put(p, Math.max(day, wantedDay[p]));
      }
      case WANTED -> {
        join(p, day);
        next[p] = Next.FAILS;
        put(p, Double.POSITIVE_INFINITY);
      }
      case FAILS -> {
        YearPump.Cost cost = pumps[p].cost();
        money[p] += cost.planned() + cost.stop();
        out.failures()[year]++;
        failed[p] = true;
        keepKit(p, day);
        if (!queued[p]) {
          join(p, day);
        }
      }
    }
  }

  private void keepKit(int p, int day) {
    if (kitDay[p] < 0) {
      int kit = jobs[p].kit();
      kitDay[p] = kit == YearPump.NONE ? HERE : shelf.take(kit, day);
      if (kit != YearPump.NONE) {
        used[kit]++;
      }
    }
  }

  private void join(int p, int day) {
    queued[p] = true;
    queue[waiting++] = p;
    out.hours()[day / 7][year] += (float) (jobs[p].minutes() / 60);
  }

  // ---- the bench ------------------------------------------------------------------------------

  private void work(int day) {
    boolean somebody = bench.begin(day);
    inOrder();
    int left = 0;
    for (int i = 0; i < waiting; i++) {
      int p = queue[i];
      if (kitDay[p] > day) {
        waitsForKit(jobs[p].kit(), day);
      } else if (somebody && done(p, day)) {
        continue;
      }
      queue[left++] = p;
    }
    waiting = left;
  }

  private boolean done(int p, int day) {
    YearPump.Job job = jobs[p];
    if (!failed[p] && job.pair() != YearPump.NONE && failed[job.pair()]) {
      return false;
    }
    double moment = failed[p] ? failDay[p] : wantedDay[p];
    int earliest = moment < day ? 0 : (int) Math.ceil((moment - day) * Slots.A_DAY);
    int begins = bench.set(p, job, earliest, failed[p]);
    if (begins < 0) {
      return false;
    }
    double at = day + begins / (double) Slots.A_DAY;
    if (failed[p]) {
      out.downDays()[year] += at - failDay[p];
      failed[p] = false;
    } else {
      money[p] += pumps[p].cost().planned();
      if (eventDay[p] >= 0) {
        remove(p);
      }
    }
    if (bench.overtime()) {
      money[p] += job.minutes() / 60 * plan.shop().overtimePerHour();
    }
    looked(p, at);
    queued[p] = false;
    out.renewals()[year]++;
    set[p]++;
    runs(p, 0, at + Slots.of(job.minutes()) / (double) Slots.A_DAY);
    return true;
  }

  /** What the looks at a set cost until it came out, and the hours they took. */
  private void looked(int p, double until) {
    Keeping k = kept[p];
    if (k.way() != Way.LOOK) {
      return;
    }
    double age = startAge[p];
    double end = age + (Math.min(until, failDay[p]) - startDay[p]) * pumps[p].perDay();
    for (double look = (Math.floor(age / k.every()) + 1) * k.every();
        look <= end;
        look += k.every()) {
      double day = startDay[p] + (look - age) / pumps[p].perDay();
      if (day >= DAYS) {
        return;
      }
      money[p] += pumps[p].cost().look();
      out.hours()[(int) day / 7][year] += (float) (jobs[p].lookMinutes() / 60);
    }
  }

  private void waitsForKit(int kit, int day) {
    int week = day / 7;
    if (waitedWeek[kit] != week) {
      waitedWeek[kit] = week;
      waits[kit][week]++;
    }
    if (!waitedYear[kit]) {
      waitedYear[kit] = true;
      waitYears[kit]++;
    }
  }

  /** Few wait at a time, and most of them in the order of yesterday. */
  private void inOrder() {
    for (int i = 1; i < waiting; i++) {
      int p = queue[i];
      int j = i;
      while (j > 0 && comesBefore(p, queue[j - 1])) {
        queue[j] = queue[j - 1];
        j--;
      }
      queue[j] = p;
    }
  }

  private boolean comesBefore(int a, int b) {
    if (failed[a] != failed[b]) {
      return failed[a];
    }
    if (failed[a]) {
      return failDay[a] != failDay[b] ? failDay[a] < failDay[b] : a < b;
    }
    return kept[a].urgency() != kept[b].urgency() ? kept[a].urgency() > kept[b].urgency() : a < b;
  }

  private void end() {
    double paid = 0;
    double worn = 0;
    for (int p = 0; p < pumps.length; p++) {
      // A failed set is paid for already: what follows it is new.
      double used = -pumps[p].usedUp(pumps[p].age());
      if (failed[p]) {
        out.downDays()[year] += DAYS - failDay[p];
      } else {
        used += pumps[p].usedUp(startAge[p] + (DAYS - startDay[p]) * pumps[p].perDay());
      }
      looked(p, DAYS);
      out.ofPump()[p][year] = (float) (money[p] + used);
      paid += money[p];
      worn += used;
    }
    out.paid()[year] = paid;
    out.money()[year] = paid + worn;
  }
}
