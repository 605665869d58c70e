package isokinon.server.papers;

import isokinon.core.act.Stage;
import isokinon.server.work.shared.Text;
import isokinon.server.work.stages.BenchView;
import isokinon.server.work.stages.BenchView.HandoverView;
import isokinon.server.work.stages.BenchView.LockView;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** The card that hangs on a pump between two shifts, with the words of the note. A6, one ink. */
@Component
public class HandoverCard {

  /** Characters of a note that is set large; of one that is set in the middle size. */
  private static final int LARGE = 140;

  private static final int MIDDLE = 300;

  private final Paper paper;

  HandoverCard(Paper paper) {
    this.paper = paper;
  }

  /** What the scanner reads: it opens the job. */
  private static String code(BenchView view) {
    return "J-" + view.id();
  }

  /**
   * The card of a job that is handed over.
   *
   * @param shop what the shop is called
   */
  public byte[] pdf(BenchView view, HandoverView handover, String shop) {
    Map<String, Object> values = new HashMap<>();
    values.put("place", shop);
    values.put("code", code(view));
    values.put("tag", view.pump().tag());
    values.put(
        "band",
        view.stage() == Stage.MAKE_SAFE ? "In work. Do not start." : "In pieces. Do not start.");
    values.put("note", handover.note().lines().toList());
    values.put("noteSize", noteSize(handover.note().length()));
    values.put("facts", facts(view, handover));
    values.put("image", Labels.image(code(view)));
    values.put("foot", "Written by " + handover.who() + ". The job at the bench comes first.");
    return paper.pdf("handover", view.pump().tag() + " handed over", values);
  }

  /** A longer note is set smaller, so that the card stays one card. */
  private static String noteSize(int characters) {
    return characters <= LARGE ? "note" : characters <= MIDDLE ? "note middle" : "note long";
  }

  private static String energies(List<LockView> locks) {
    return Text.sentence(
        locks.stream().map(l -> Text.inSentence(l.energy())).collect(Collectors.joining(", ")));
  }

  private static List<List<String>> facts(BenchView view, HandoverView handover) {
    List<List<String>> facts = new ArrayList<>();
    facts.add(List.of("Handed over", handover.who() + ", " + handover.at()));
    facts.add(List.of("It stands", Text.wholeSentence(view.state())));
    facts.add(
        List.of(
            "Parts",
            Text.count(handover.off(), "part")
                + " off"
                + (handover.toLook() > 0 ? ", " + handover.toLook() + " to look at" : "")));
    handover.locks().stream()
        .collect(Collectors.groupingBy(LockView::by, LinkedHashMap::new, Collectors.toList()))
        .forEach((who, locks) -> facts.add(List.of("Locks of " + who, energies(locks))));
    return facts;
  }
}
