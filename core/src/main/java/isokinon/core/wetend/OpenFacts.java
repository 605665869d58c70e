package isokinon.core.wetend;

import isokinon.core.material.Fluid;
import isokinon.core.material.MaterialLibrary;
import isokinon.core.material.trace.Traces;
import isokinon.core.wetend.Duty.Conditions;
import isokinon.core.wetend.Duty.Zone;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/**
 * Facts nobody has given that would change the choice. A missing fact is tried at values a pump may
 * well meet; only where one of them changes who leads or who fits is it worth asking for.
 */
public final class OpenFacts {

  /**
   * A question worth asking.
   *
   * @param field which fact
   * @param ask the question
   * @param because what the answer would change
   */
  public record Question(String field, String ask, String because) {}

  private record Trial(String field, String ask, String when, Conditions then) {}

  private OpenFacts() {}

  /**
   * The questions of a duty.
   *
   * @param library what is known of the fluids
   * @param choose who leads and who fits in a duty
   * @param name what a candidate is called in a sentence
   */
  public static List<Question> of(
      Duty duty,
      MaterialLibrary library,
      Function<Duty, ChoiceOutcome> choose,
      Function<CandidateId, String> name) {
    ChoiceOutcome now = choose.apply(duty);
    List<Question> questions = new ArrayList<>();
    for (Trial trial : trials(duty, library)) {
      boolean asked = questions.stream().anyMatch(q -> q.field().equals(trial.field()));
      ChoiceOutcome then = asked ? now : choose.apply(duty.under(trial.then()));
      if (!then.leader().equals(now.leader())) {
        questions.add(
            new Question(
                trial.field(),
                trial.ask(),
                trial.when() + " " + Sensitivity.change(now, then, name)));
      }
    }
    return questions;
  }

  private static List<Trial> trials(Duty duty, MaterialLibrary library) {
    Conditions c = duty.conditions();
    List<Trial> trials = new ArrayList<>();
    if (c.food().isEmpty()) {
      trials.add(new Trial("food", "Does it touch food?", "If it does,", c.withFood(true)));
    }
    if (c.zone().isEmpty()) {
      for (Zone zone : List.of(Zone.STATIC, Zone.EXPLOSIVE)) {
        trials.add(
            new Trial(
                "zone",
                "Does static matter there, or is the place explosive?",
                zone == Zone.STATIC ? "Where static matters" : "In an explosive zone",
                c.withZone(zone)));
      }
    }
    if (c.runsDry().isEmpty()) {
      trials.add(
          new Trial(
              "runsDry", "Does it run dry now and then?", "If it does,", c.withRunsDry(true)));
    }
    if (c.ambientC().isEmpty()) {
      for (double t : new double[] {-5, -15, -25}) {
        trials.add(
            new Trial(
                "ambientC",
                "How cold does it get around it?",
                Say.of("At %s °C", Say.number(t)),
                c.withAmbientC(t)));
      }
    }
    if (c.pressureBar().isEmpty()) {
      for (double bar : new double[] {1.5, 2, 4, 8, 12}) {
        trials.add(
            new Trial(
                "pressureBar",
                "What pressure does it work against?",
                Say.of("At %s bar", Say.number(bar)),
                c.withPressureBar(bar)));
      }
    }
    if (c.solidsMm().isEmpty()) {
      trials.add(
          new Trial(
              "solidsMm", "How large are the solids?", "With solids of 5 mm", c.withSolidsMm(5.0)));
    }
    if (c.viscosityMpas().isEmpty()) {
      for (double mpas : new double[] {5, 3000}) {
        trials.add(
            new Trial(
                "viscosityMpas",
                "How thick is it?",
                Say.of("At %s mPa·s", Say.number(mpas)),
                c.withViscosityMpas(mpas)));
      }
    }
    if (duty.exposures().stream()
        .anyMatch(e -> library.fluid(e.fluid()).filter(Fluid::waterBased).isPresent())) {
      traces(c, trials);
    }
    boolean dense =
        duty.exposures().stream()
            .allMatch(e -> library.fluid(e.fluid()).flatMap(Fluid::densityKgM3).isPresent());
    if (c.densityKgM3().isEmpty() && !dense) {
      trials.add(
          new Trial(
              "densityKgM3", "How dense is it?", "At 1 400 kg/m³", c.withDensityKgM3(1400.0)));
    }
    return trials;
  }

  /** A trace is asked for only where the amounts a pump may well meet decide. */
  private static void traces(Conditions c, List<Trial> trials) {
    Traces known = c.traces();
    if (known.chlorideMgL().isEmpty()) {
      for (double mg : new double[] {200, 1000, 5000}) {
        trials.add(
            new Trial(
                "chlorideMgL",
                "How much chloride is in it?",
                Say.of("With %.0f mg/L of chloride", mg),
                c.with(known.withChlorideMgL(mg))));
      }
    }
    if (known.phLow().isEmpty()) {
      for (double ph : new double[] {3, 1.5}) {
        trials.add(
            new Trial(
                "phLow",
                "How low does its pH get?",
                Say.of("Down to pH %s", Say.number(ph)),
                c.with(known.withPhLow(Math.min(ph, known.phHigh().orElse(ph))))));
      }
    }
    if (known.phHigh().isEmpty()) {
      for (double ph : new double[] {11, 13}) {
        trials.add(
            new Trial(
                "phHigh",
                "How high does its pH get?",
                Say.of("Up to pH %s", Say.number(ph)),
                c.with(known.withPhHigh(Math.max(ph, known.phLow().orElse(ph))))));
      }
    }
    if (known.chlorineMgL().isEmpty()) {
      trials.add(
          new Trial(
              "chlorineMgL",
              "Is free chlorine in it, or another oxidiser?",
              "With 20 mg/L of free chlorine",
              c.with(known.withChlorineMgL(20))));
    }
  }
}
