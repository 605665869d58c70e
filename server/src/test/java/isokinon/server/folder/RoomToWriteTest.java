package isokinon.server.folder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import org.springframework.boot.actuate.health.Status;

class RoomToWriteTest {

  private static final long JUST_ENOUGH = RoomToWrite.LEAST;
  private static final long LOOKED_AT_MS = 300;

  @Test
  void aWritePassesWhileThereIsRoomAndAgainAsSoonAsThereIs() throws InterruptedException {
    AtomicLong free = new AtomicLong(JUST_ENOUGH - 1);
    RoomToWrite room = new RoomToWrite(free::get);
    assertThatThrownBy(room::require).isInstanceOf(NoRoom.class);
    assertThat(room.health().getStatus()).isEqualTo(Status.DOWN);
    free.set(JUST_ENOUGH);
    Thread.sleep(LOOKED_AT_MS);
    room.require();
    assertThat(room.health().getStatus()).isEqualTo(Status.UP);
  }

  @Test
  void aFolderThatCannotBeToldHasNoRoom() {
    RoomToWrite room = new RoomToWrite(() -> JUST_ENOUGH);
    assertThatThrownBy(() -> room.require(Path.of("/no/such/folder"))).isInstanceOf(NoRoom.class);
  }
}
