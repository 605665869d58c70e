package isokinon.server.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isokinon.server.Desk;
import isokinon.server.MillTest;
import isokinon.server.work.BackUp.StoredTable;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipInputStream;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.TestPropertySource;

/** Everything out, and back into an empty shop. */
@MillTest
@TestPropertySource(properties = "spring.datasource.url=jdbc:h2:mem:backup;DB_CLOSE_DELAY=-1")
class BackUpTest {

  @Autowired private BackUp mill;
  @Autowired private Desk desk;

  private static BackUp empty(String name) {
    JdbcDataSource source = new JdbcDataSource();
    source.setURL("jdbc:h2:mem:" + name + ";DB_CLOSE_DELAY=-1");
    Flyway.configure().dataSource(source).load().migrate();
    return new BackUp(new JdbcTemplate(source));
  }

  @Test
  void whatGoesOutComesBackWhole() {
    desk.job("EFF-02").takesIn("renew:diaphragm-a");
    Map<String, StoredTable> out = mill.all();
    assertThat(out.get("run").rows()).hasSizeGreaterThan(100);
    assertThat(out.get("bench_event").rows()).isNotEmpty();
    BackUp other = empty("restored");
    other.restore(out);
    assertThat(other.all()).isEqualTo(out);
    assertThatThrownBy(() -> other.restore(out)).hasMessageContaining("has pumps already");
  }

  @Test
  void numbersGoOnBehindThoseThatCameBack() {
    JdbcDataSource source = new JdbcDataSource();
    source.setURL("jdbc:h2:mem:numbers;DB_CLOSE_DELAY=-1");
    Flyway.configure().dataSource(source).load().migrate();
    JdbcTemplate jdbc = new JdbcTemplate(source);
    Map<String, StoredTable> out = mill.all();
    new BackUp(jdbc).restore(out);
    jdbc.update(
        "insert into fault_found (pump, family, fault, found_at) values ('EFF-02', 'x', 'y', now())");
    jdbc.update(
        "insert into run (pump, role, material, duty_group, fitted_on, ended_on, hours, failed,"
            + " cause) values ('EFF-02', 'tube', 'NR', '', '2026-01-01', '2026-01-02', 1, true, '')");
    assertThat(jdbc.queryForObject("select count(*) from run", Integer.class))
        .isEqualTo(out.get("run").rows().size() + 1);
  }

  @Test
  void whatIsNotKnownIsRefusedAndNothingIsStored() {
    BackUp shop = empty("refused");
    Map<String, StoredTable> wrong = new HashMap<>();
    wrong.put("weather", new StoredTable(List.of("day"), List.of()));
    wrong.put("person", new StoredTable(List.of("initials", "shoe_size"), List.of()));
    wrong.put("lot", new StoredTable(List.of("id"), List.of(List.of("a", "b"))));
    assertThatThrownBy(() -> shop.restore(wrong))
        .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.faults()).hasSize(3));
    assertThat(shop.all().get("person").rows()).isEmpty();
  }

  @Test
  void theZipHoldsATableAFile() throws Exception {
    Desk.Reply reply = desk.get("/api/v1/everything.zip");
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
