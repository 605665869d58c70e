package isokinon.server.work.setup;

import io.swagger.v3.oas.annotations.media.Schema;
import isokinon.server.work.setup.BringProgress.Phase;

/**
 * How far tables have come that are being brought.
 *
 * @param phase what is being done
 * @param table title of the table it is done to; empty while there is none
 * @param done rows done of it
 * @param rows rows it has
 */
@Schema(name = "BringProgress")
public record BringProgressView(Phase phase, String table, int done, int rows) {

  static final BringProgressView IDLE = new BringProgressView(Phase.IDLE, "", 0, 0);
}
