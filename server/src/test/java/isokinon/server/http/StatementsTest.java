package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import isokinon.server.ApiClient;
import isokinon.server.MillTest;
import isokinon.server.db.DataVersions;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.ibatis.executor.statement.StatementHandler;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.TestPropertySource;

/** How often the database is asked: it does not grow with the shop, nor with the job. */
@MillTest
@Import(StatementsTest.Counting.class)
@TestPropertySource(properties = "spring.datasource.url=jdbc:h2:mem:statements;DB_CLOSE_DELAY=-1")
class StatementsTest {

  static final AtomicInteger STATEMENTS = new AtomicInteger();

  @TestConfiguration
  static class Counting {
    @Bean
    Interceptor countStatements() {
      return new Counter();
    }
  }

  @Intercepts(
      @Signature(
          type = StatementHandler.class,
          method = "prepare",
          args = {java.sql.Connection.class, Integer.class}))
  static class Counter implements Interceptor {
    @Override
    public Object intercept(Invocation invocation) throws Throwable {
      STATEMENTS.incrementAndGet();
      return invocation.proceed();
    }
  }

  @Autowired private ApiClient desk;
  @Autowired private JdbcTemplate jdbc;
  @Autowired private DataVersions versions;

  private int statements(Runnable request) {
    request.run();
    STATEMENTS.set(0);
    request.run();
    return STATEMENTS.get();
  }

  private void plan() {
    ApiClient.Reply reply = desk.post("/api/v1/diary/plan", "{}");
    assertThat(reply.status()).isEqualTo(200);
    assertThat(reply.body().path("entries").size()).isGreaterThan(3);
  }

  /** Every pump once more under another tag. */
  private void moreLike(String suffix) {
    String columns =
        String.join(
            ", ",
            jdbc.queryForList(
                "select lower(column_name) from information_schema.columns where table_name ="
                    + " 'PUMP' and column_name <> 'TAG' order by ordinal_position",
                String.class));
    jdbc.update(
        "insert into pump (tag, "
            + columns
            + ") select concat(tag, '"
            + suffix
            + "'), "
            + columns
            + " from pump where tag not like '%x%'");
    jdbc.update(
        "insert into fitted_part (pump, role, place, part_serial, material, fitted_on,"
            + " fitted_at_hours, came_hours, fitted_at_count, came_count, leading) select"
            + " concat(pump, '"
            + suffix
            + "'), role, place, part_serial, material, fitted_on, fitted_at_hours, came_hours,"
            + " fitted_at_count, came_count, leading from fitted_part where leading and pump not"
            + " like '%x%'");
    versions.everythingChanged();
  }

  @Test
  void aPlanOfTheDiaryAsksAsOftenWithTwiceThePumps() {
    int before = statements(this::plan);
    moreLike("x1");
    assertThat(statements(this::plan)).isEqualTo(before).isLessThan(40);
  }

  /** A pump of each construction, what is renewed in it, and in which material. */
  @ParameterizedTest
  @CsvSource({
    "SCR-07, renew:diaphragm-a, FKM",
    "SCR-02, renew:diaphragm-a, NBR",
    "EFF-03, renew:diaphragm-a, EPDM",
    "EFF-09, renew:diaphragm-a, NBR",
    "SCR-01, renew:stator, NBR",
    "SCR-04, renew:stator, NBR",
    "SCR-09, renew:stator, EPDM",
    "DYE-02, renew:stator, EPDM",
    "EFF-07, renew:hose, NR hose",
    "EFF-06, renew:tube, TPE tube",
    "BLE-04, renew:tube, EPDM tube",
    "SCR-08, renew:ring-upper, FKM",
    "DYE-08, renew:front-bushing, SiC",
    "BLE-01, renew:bushing, SiC",
  })
  void anAnswerHoldsOnlyTheStageInHand(String tag, String renewed, String material) {
    ApiClient.Job job = desk.job(tag).takesIn(renewed).makesSafe().strips().inspects();
    job.decides("single", material);
    int longest = 0;
    while (job.stage().equals("BUILD")) {
      job.answersChecks().torques();
      longest = Math.max(longest, job.lastBytes());
      job.does("STEP_DONE", Map.of("step", job.view().at("/step/id").asText()));
    }
    assertThat(longest).as(tag).isPositive().isLessThan(15_000);
  }

  @Test
  void aTorqueReadingAsksAsOftenAtTheEndOfAJobAsAtItsBeginning() {
    ApiClient.Job job =
        desk.job("EFF-02").takesIn("renew:diaphragm-a").makesSafe().strips().inspects();
    job.decides("single", "NBR");
    int first = 0;
    int last = 0;
    while (job.stage().equals("BUILD")) {
      job.answersChecks();
      JsonNode torque = job.view().at("/step/torque");
      if (torque.isObject() && !torque.path("finished").asBoolean()) {
        String step = job.view().at("/step/id").asText();
        STATEMENTS.set(0);
        job.does(
            "TORQUE_READ",
            Map.of(
                "step", step,
                "pass", torque.path("pass").asInt(),
                "fastener", torque.path("nextFastener").asInt(),
                "reading", Map.of("typed", torque.path("targetNm").asText())));
        last = STATEMENTS.get();
        first = first == 0 ? last : first;
        job.torques();
      }
      job.does("STEP_DONE", Map.of("step", job.view().at("/step/id").asText()));
    }
    assertThat(last).isEqualTo(first).isPositive();
  }
}
