package isokinon.core.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** The cheapest way to buy what a rebuild needs, against trying every purchase there is. */
class KitCoverTest {

  @Test
  void aKitWithSomethingLeftOverCanBeCheaperThanSingles() {
    KitCover.Cover cover =
        KitCover.cheapest(
            Map.of("diaphragm", 2, "ball", 1),
            List.of(
                new Offer("wet-kit", 148, Map.of("diaphragm", 2, "ball", 4)),
                Offer.single("diaphragm", 70),
                Offer.single("ball", 12)),
            Map.of());
    assertThat(cover.buy()).containsExactly(new KitCover.Bought("wet-kit", 1));
    assertThat(cover.leftOver()).isEqualTo(Map.of("ball", 3));
    assertThat(cover.cost()).isEqualTo(148);
    assertThat(cover.optimal()).isTrue();
  }

  @Test
  void whatLiesOnTheShelfIsNotBoughtAndNotLeftOver() {
    KitCover.Cover cover =
        KitCover.cheapest(
            Map.of("diaphragm", 2, "ball", 4),
            List.of(Offer.single("diaphragm", 70), Offer.single("ball", 12)),
            Map.of("diaphragm", 5, "ball", 3));
    assertThat(cover.buy()).containsExactly(new KitCover.Bought("part:ball", 1));
    assertThat(cover.leftOver()).isEmpty();
  }

  @Test
  void partsNobodySellsAreNamedAllAtOnce() {
    assertThatThrownBy(
            () ->
                KitCover.cheapest(
                    Map.of("seat", 1, "ball", 1, "cap", 1),
                    List.of(Offer.single("ball", 12)),
                    Map.of()))
        .isInstanceOfSatisfying(
            KitCover.Uncoverable.class, e -> assertThat(e.parts()).containsExactly("cap", "seat"));
  }

  @Property(tries = 300)
  void noPurchaseIsCheaper(@ForAll @LongRange(min = 0, max = 1_000_000) long seed) {
    Random random = new Random(seed);
    List<String> parts = List.of("a", "b", "c", "d");
    Map<String, Integer> need = new HashMap<>();
    Map<String, Integer> onHand = new HashMap<>();
    List<Offer> offers = new ArrayList<>();
    for (String part : parts) {
      need.put(part, random.nextInt(4));
      onHand.put(part, random.nextInt(2));
      offers.add(Offer.single(part, 1 + random.nextInt(20)));
    }
    for (int k = 0; k < 3; k++) {
      Map<String, Integer> holds = new HashMap<>();
      parts.stream()
          .filter(p -> random.nextBoolean())
          .forEach(p -> holds.put(p, 1 + random.nextInt(2)));
      offers.add(new Offer("kit" + k, 2 + random.nextInt(30), holds));
    }
    KitCover.Cover cover = KitCover.cheapest(need, offers, onHand);
    assertThat(cover.cost()).isEqualTo(byForce(need, offers, onHand, 0), within(1e-9));
    assertThat(cover.optimal()).isTrue();
    assertThat(cover.leftOver().values()).allMatch(count -> count > 0);
  }

  private static double byForce(
      Map<String, Integer> need, List<Offer> offers, Map<String, Integer> have, int from) {
    if (need.entrySet().stream().allMatch(e -> have.getOrDefault(e.getKey(), 0) >= e.getValue())) {
      return 0;
    }
    if (from == offers.size()) {
      return Double.POSITIVE_INFINITY;
    }
    Offer offer = offers.get(from);
    double best = byForce(need, offers, have, from + 1);
    Map<String, Integer> more = new HashMap<>(have);
    for (int count = 1; count <= 3; count++) {
      offer.parts().forEach((part, q) -> more.merge(part, q, Integer::sum));
      best = Math.min(best, count * offer.price() + byForce(need, offers, more, from + 1));
    }
    return best;
  }
}
