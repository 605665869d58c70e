package isokinon.server.work.stages;

import isokinon.server.work.stages.BenchView.PumpHead;
import isokinon.server.work.stages.BenchView.SheetHead;
import isokinon.server.work.stages.StageView.FaultView;
import isokinon.server.work.stages.StageView.Gate;
import isokinon.server.work.stages.StageView.HandBackView;
import isokinon.server.work.stages.StageView.InspectItem;
import isokinon.server.work.stages.StageView.ProofView;
import isokinon.server.work.stages.StageView.RenewItem;
import java.util.List;

/**
 * All stages of a job, for its record on paper.
 *
 * @param open whether it is not handed back yet
 * @param chain the short code of the chain over its events
 */
public record JobRecord(
    long id,
    boolean open,
    PumpHead pump,
    SheetHead sheet,
    List<Gate> gates,
    FaultView fault,
    List<InspectItem> found,
    List<RenewItem> renewed,
    List<ProofView> proof,
    HandBackView handBack,
    String chain,
    List<LogLine> log) {

  /** A line of the record: when, also as a time of day, who, and what. */
  public record LogLine(long seq, String at, String time, String who, String say) {}
}
