package isokinon.bench.campaign;

import java.util.Random;

/** Runs a campaign by name, for so many rounds; ends with 1 where a round went wrong. */
public final class Campaign {

  private Campaign() {}

  /**
   * Runs it.
   *
   * @param asked the campaign and its rounds, in one text: {@code kills 5}, {@code races 10},
   *     {@code mutations 2000}, {@code soak 60} minutes, {@code short} for a round of kills, races
   *     and mutations; a third word is the seed
   */
  public static void main(String[] asked) throws Exception {
    String[] words = String.join(" ", asked).strip().split("\\s+");
    int rounds = words.length > 1 ? Integer.parseInt(words[1]) : 1;
    long seed = words.length > 2 ? Long.parseLong(words[2]) : System.nanoTime();
    System.out.println(words[0] + ", " + rounds + " rounds, seed " + seed);
    int wrong = run(words[0], rounds, seed);
    System.out.println(wrong + " rounds went wrong");
    System.exit(wrong == 0 ? 0 : 1);
  }

  private static int run(String campaign, int rounds, long seed) throws Exception {
    Random random = new Random(seed);
    return switch (campaign) {
      case "kills" -> Kills.run(rounds, seed);
      case "races" -> Races.run(rounds);
      case "mutations" -> Mutations.run("mutations", rounds, seed);
      case "soak" -> Soak.run(rounds, false);
      case "flat-out" -> Soak.run(rounds, true);
      case "disk" -> Disk.run(rounds, random);
      case "short" ->
          Kills.once(random) + Races.run(1) + Mutations.run("short-mutations", 100, seed);
      default ->
          throw new IllegalArgumentException(
              "kills, races, mutations, soak, flat-out, disk or short");
    };
  }
}
