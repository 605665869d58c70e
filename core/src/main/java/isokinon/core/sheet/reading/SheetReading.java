package isokinon.core.sheet.reading;

import isokinon.core.sheet.Sheet;
import isokinon.core.value.Fault;
import java.util.List;
import java.util.Optional;

/**
 * What came of reading a sheet: the sheet, or every fault found.
 *
 * @param sheet empty exactly where there are faults
 * @param faults all faults in the order of the file
 */
public record SheetReading(Optional<Sheet> sheet, List<Fault> faults) {

  /** The sheet, where reading it is known to succeed; else every fault in one exception. */
  public Sheet orThrow() {
    return sheet.orElseThrow(() -> new IllegalArgumentException("The sheet has faults: " + faults));
  }
}
