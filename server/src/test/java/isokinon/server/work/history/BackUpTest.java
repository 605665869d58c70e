package isokinon.server.work.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import isokinon.server.db.DataVersions;
import isokinon.server.db.Tables;
import isokinon.server.folder.NoRoom;
import isokinon.server.folder.RoomToWrite;
import isokinon.server.work.shared.RequestProblem;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.zip.ZipInputStream;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Everything out, and back into an empty shop. */
@MillTest
class BackUpTest {

  private static final ObjectMapper JSON = new ObjectMapper();

  @Autowired private BackUp mill;
  @Autowired private ApiClient desk;
  @TempDir private Path folder;

  private record Shop(BackUp backUp, JdbcTemplate jdbc) {
    static Shop empty(String name) {
      return empty(name, mock(RoomToWrite.class));
    }

    static Shop empty(String name, RoomToWrite room) {
      JdbcDataSource source = new JdbcDataSource();
      source.setURL("jdbc:h2:mem:" + name + ";DB_CLOSE_DELAY=-1");
      Flyway.configure().dataSource(source).load().migrate();
      return new Shop(
          new BackUp(Tables.of(source), new DataVersions(), room), new JdbcTemplate(source));
    }
  }

  private static String text(BackUp of) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    of.json(out);
    return out.toString(StandardCharsets.UTF_8);
  }

  private Path file(String text) throws IOException {
    return Files.writeString(Files.createTempFile(folder, "everything", ".json"), text);
  }

  @Test
  void whatGoesOutComesBackWholeAndNumbersGoOnBehindIt() throws IOException {
    desk.job("EFF-02").takesIn("renew:diaphragm-a");
    String out = text(mill);
    Shop other = Shop.empty("restored");
    other.backUp().restore(file(out));
    assertThat(text(other.backUp())).isEqualTo(out);
    assertThatThrownBy(() -> other.backUp().restore(file(out)))
        .hasMessageContaining("has pumps already");
    int runs = other.jdbc().queryForObject("select count(*) from run", Integer.class);
    other
        .jdbc()
        .update(
            "insert into run (pump, role, material, duty_group, fitted_on, ended_on, hours, failed,"
                + " cause) values ('EFF-02', 'tube', 'NR', '', '2026-01-01', '2026-01-02', 1, true,"
                + " '')");
    assertThat(other.jdbc().queryForObject("select count(*) from run", Integer.class))
        .isEqualTo(runs + 1)
        .isGreaterThan(100);
  }

  @Test
  void aDiskThatFillsUpMeanwhileStopsARestoreAndNothingIsStored() throws IOException {
    RoomToWrite room = mock(RoomToWrite.class);
    Shop shop = Shop.empty("full", room);
    Path file = file(text(mill));
    AtomicInteger asked = new AtomicInteger();
    doAnswer(
            ask -> {
              if (asked.incrementAndGet() == 12) {
                throw new NoRoom();
              }
              return null;
            })
        .when(room)
        .require();
    TransactionTemplate transaction =
        new TransactionTemplate(new DataSourceTransactionManager(shop.jdbc().getDataSource()));
    assertThatThrownBy(() -> transaction.executeWithoutResult(t -> shop.backUp().restore(file)))
        .isInstanceOf(NoRoom.class);
    assertThat(shop.jdbc().queryForObject("select count(*) from person", Integer.class)).isZero();
    shop.backUp().restore(file);
    assertThat(text(shop.backUp())).isEqualTo(text(mill));
  }

  @Test
  void whatIsNotKnownIsRefusedAndNothingIsStored() throws IOException {
    Shop shop = Shop.empty("refused");
    Path wrong =
        file(
            """
            {"schema_version": {"columns": ["version"], "rows": [["%s"]]},
             "weather": {"columns": ["day"], "rows": []},
             "person": {"columns": ["initials", "shoe_size"], "rows": []},
             "lot": {"columns": ["id"], "rows": [["a", "b"]]}}
            """
                .formatted(Tables.of(shop.jdbc().getDataSource()).schema()));
    assertThatThrownBy(() -> shop.backUp().restore(wrong))
        .isInstanceOfSatisfying(RequestProblem.class, r -> assertThat(r.faults()).hasSize(3));
    for (String cut :
        new String[] {"", "[]", "{\"pump\": {\"columns\": [\"tag\"], \"rows\": [[\"A"}) {
      assertThatThrownBy(() -> shop.backUp().restore(file(cut)))
          .as(cut)
          .hasMessageContaining("no back-up of a shop");
    }
    assertThatThrownBy(
            () ->
                shop.backUp()
                    .restore(
                        file(
                            "{\"schema_version\": {\"columns\": [\"version\"], \"rows\":"
                                + " [[\"900\"]]}}")))
        .hasMessageContaining("a newer version");
    assertThat(shop.jdbc().queryForObject("select count(*) from person", Integer.class)).isZero();
  }

  /** A value in its column of the back-up; nothing of the file is kept, and it is said why. */
  @ParameterizedTest
  @CsvSource({
    "sheet, 'odd-pump;1;no sheet: [at all;2026-03-01 08:00:00+00', Revision 1 of the sheet odd-pump",
    "person, 'ABCDEFG;Somebody;technician', A row of person between",
    "exposure, 'NO-99;1;water;100;20;1;;;process', A row of exposure between"
  })
  void whatCannotBeWorkedWithIsToldByItsTableAndRow(String table, String values, String said)
      throws IOException {
    ObjectNode all = (ObjectNode) JSON.readTree(text(mill));
    ObjectNode named = (ObjectNode) all.path(table);
    ArrayNode row = ((ArrayNode) named.path("rows")).addArray();
    String[] given = values.split(";");
    for (int i = 0; i < named.path("columns").size(); i++) {
      String value = i < given.length ? given[i] : "";
      if (value.isEmpty()) {
        row.addNull();
      } else {
        row.add(value);
      }
    }
    Shop shop = Shop.empty("odd-" + table);
    TransactionTemplate transaction =
        new TransactionTemplate(new DataSourceTransactionManager(shop.jdbc().getDataSource()));
    assertThatThrownBy(
            () ->
                transaction.executeWithoutResult(
                    status -> {
                      try {
                        shop.backUp().restore(file(all.toString()));
                      } catch (IOException e) {
                        throw new UncheckedIOException(e);
                      }
                    }))
        .isInstanceOf(RequestProblem.class)
        .hasMessageContaining(said);
    assertThat(shop.jdbc().queryForObject("select count(*) from pump", Integer.class)).isZero();
  }

  @Test
  void theZipHoldsATableAFile() throws Exception {
    ApiClient.Reply reply = desk.get("/api/v1/everything.zip");
    Map<String, String> files = new HashMap<>();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(reply.bytes()))) {
      for (var e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
        files.put(e.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
      }
    }
    assertThat(files.get("pump.csv").lines().count()).isEqualTo(33);
    assertThat(files.get("run.csv")).startsWith("\"id\",\"pump\",\"role\"");
    assertThat(desk.get("/api/v1/everything.json").body().at("/lot/rows").size()).isGreaterThan(20);
  }
}
