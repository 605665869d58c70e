package isokinon.core.life;

/** How long parts of one kind last: the chance of reaching an age, and the time lived up to it. */
public interface Survival {

  /** Chance of lasting beyond {@code age}, falling from 1. */
  double survival(double age);

  /** Mean time lived up to {@code age}: ∫0..age of the survival, in the unit of the age. */
  double lived(double age);

  /** Mean life, in the unit of the ages. */
  double meanLife();

  /** The age by which the chance of having failed is {@code probability}, 0 to 1. */
  double quantile(double probability);

  /**
   * Failures for each unit of age of sets that are renewed at an age or when they fail, whichever
   * comes first. Where the life itself is not known exactly, the mean of it over what is believed.
   *
   * @param age infinite where they run until they fail
   */
  default double failureRate(double age) {
    return Double.isInfinite(age) ? 1 / meanLife() : (1 - survival(age)) / lived(age);
  }

  /** Sets renewed sound for each unit of age, likewise. */
  default double renewalRate(double age) {
    return Double.isInfinite(age) ? 0 : survival(age) / lived(age);
  }

  /** A life that another one answers for; what differs is overridden. */
  interface AnsweredBy extends Survival {

    /** The life that answers. */
    Survival life();

    @Override
    default double survival(double age) {
      return life().survival(age);
    }

    @Override
    default double lived(double age) {
      return life().lived(age);
    }

    @Override
    default double meanLife() {
      return life().meanLife();
    }

    @Override
    default double quantile(double probability) {
      return life().quantile(probability);
    }

    @Override
    default double failureRate(double age) {
      return life().failureRate(age);
    }

    @Override
    default double renewalRate(double age) {
      return life().renewalRate(age);
    }
  }

  /** Chance of failing within {@code ahead} once {@code age} has been reached. */
  default double risk(double age, double ahead) {
    double reached = survival(age);
    // Of those few that would reach such an age, none is expected to live on.
    return reached > 0 ? 1 - survival(age + ahead) / reached : 1;
  }
}
