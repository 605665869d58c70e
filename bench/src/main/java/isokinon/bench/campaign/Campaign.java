package isokinon.bench.campaign;

import java.util.Random;

/** Runs a campaign by name, for so many rounds; ends with 1 where a round went wrong. */
public final class Campaign {

  private Campaign() {}

  /**
   * Runs it.
   *
   * @param asked the campaign and its rounds, in one text: {@code kills 5}, {@code races 10},
   *     {@code mutations 2000}, {@code soak 60} minutes; a third word is the seed
   */
  public static void main(String[] asked) throws Exception {
    String[] words = String.join(" ", asked).strip().split("\\s+");
    int rounds = words.length > 1 ? Integer.parseInt(words[1]) : 1;
    long seed = words.length > 2 ? Long.parseLong(words[2]) : System.nanoTime();
    System.out.println(words[0] + ", " + rounds + " rounds, seed " + seed);
    int wrong =
        switch (words[0]) {
          case "kills" -> Kills.run(rounds, new Random(seed));
          case "races" -> Races.run(rounds);
          case "mutations" -> Mutations.run(rounds, new Random(seed));
          case "soak" -> Soak.run(rounds, false);
          case "flat-out" -> Soak.run(rounds, true);
          case "disk" -> Disk.run(rounds, new Random(seed));
          default ->
              throw new IllegalArgumentException("kills, races, mutations, soak, flat-out or disk");
        };
    System.out.println(wrong + " rounds went wrong");
    System.exit(wrong == 0 ? 0 : 1);
  }
}
