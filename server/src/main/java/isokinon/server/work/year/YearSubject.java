package isokinon.server.work.year;

import isokinon.core.renewal.Policies;
import isokinon.core.renewal.Policies.Kept;
import isokinon.core.renewal.Policies.Way;
import isokinon.core.year.Keeping;
import isokinon.core.year.YearPump;
import isokinon.server.db.pumps.PolicyRow;
import isokinon.server.work.lives.LifeSnapshot.Life;
import isokinon.server.work.lives.Renewals.Renewal;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A pump of the year, and how it may be kept.
 *
 * @param way that was chosen for it; empty where it is renewed at its interval
 * @param interval h
 * @param sooner days until something that is watched or the calendar asks for it
 * @param placed days until the diary has it done
 * @param best the ways to keep it at their best; empty where a cost is not known
 */
record YearSubject(
    YearPump pump,
    Life life,
    Renewal renewal,
    Optional<PolicyRow> way,
    double interval,
    Optional<Double> sooner,
    Optional<Double> placed,
    Optional<Policies> best) {

  /** With the ways to keep it at their best, and the age at which its sets are used up. */
  YearSubject atItsBest() {
    Optional<Policies> ways =
        renewal
            .terms(life.standing().pump().harms(), life.perHour())
            .map(
                t ->
                    Policies.of(
                        life.estimate().chosenBy(), Policies.WARNING, t, OptionalDouble.empty()));
    double whole = ways.flatMap(Policies::fixed).map(Kept::every).orElse(pump.whole());
    return new YearSubject(
        pump.usedUpAt(whole), life, renewal, way, interval, sooner, placed, ways);
  }

  String tag() {
    return pump.tag();
  }

  Keeping keeping(YearPolicy policy) {
    return switch (policy) {
      case AS_TODAY -> today();
      case AS_ADVISED -> best.flatMap(Policies::chosen).map(this::of).orElseGet(this::today);
      case AT_AN_AGE -> best.flatMap(Policies::fixed).map(this::of).orElseGet(this::today);
      case UNTIL_THEY_FAIL -> untilItFails();
    };
  }

  Keeping untilItFails() {
    boolean may = best.filter(p -> p.untilItFails().bar() != Policies.Bar.NONE).isEmpty();
    return may && !life.standing().pump().harms()
        ? Keeping.UNTIL_IT_FAILS
        : keeping(YearPolicy.AT_AN_AGE);
  }

  /** Renewed at an age in hours of this pump, or when it fails. */
  Keeping atHours(double hours) {
    return atAge(hours * life.perHour());
  }

  private Keeping of(Kept k) {
    return switch (k.way()) {
      case UNTIL_IT_FAILS -> Keeping.UNTIL_IT_FAILS;
      case LOOK -> look(k.every());
      case FIXED -> atAge(k.every());
    };
  }

  private Keeping look(double every) {
    return new Keeping(
        Way.LOOK, every, Double.POSITIVE_INFINITY, urgency(Double.POSITIVE_INFINITY));
  }

  private Keeping atAge(double age) {
    double day = (age - pump.age()) / pump.perDay();
    return new Keeping(Way.FIXED, age, sooner.map(s -> Math.min(s, day)).orElse(day), urgency(age));
  }

  private Keeping today() {
    Way kept = way.map(PolicyRow::way).orElse(Way.FIXED);
    Keeping plain =
        switch (kept) {
          case UNTIL_IT_FAILS ->
              new Keeping(
                  kept,
                  Double.POSITIVE_INFINITY,
                  sooner.orElse(Double.POSITIVE_INFINITY),
                  urgency(Double.POSITIVE_INFINITY));
          case LOOK -> look(way.orElseThrow().everyHours() * life.perHour());
          case FIXED -> atHours(interval);
        };
    return placed
        .filter(day -> kept != Way.LOOK)
        .map(day -> new Keeping(kept, plain.every(), day, plain.urgency()))
        .orElse(plain);
  }

  private double urgency(double age) {
    return Keeping.urgency(
        life.estimate().life(), age, pump, renewal.weighedStop(life.standing().pump().harms()));
  }
}
