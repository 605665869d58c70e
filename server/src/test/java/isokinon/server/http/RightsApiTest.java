package isokinon.server.http;

import static org.assertj.core.api.Assertions.assertThat;

import isokinon.core.person.PersonRole;
import isokinon.core.value.Code;
import isokinon.server.ApiClient;
import isokinon.server.DescribedOperation;
import isokinon.server.MillTest;
import isokinon.server.access.People;
import isokinon.server.access.Pins;
import isokinon.server.access.Right;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What each may do: every operation of the API against every role. */
@MillTest
class RightsApiTest {

  private static final int NOT_SIGNED_IN = 401;
  private static final int DONE = 204;
  private static final int NOT_THEIRS = 403;

  private static final Map<PersonRole, String> PEOPLE =
      Map.of(
          PersonRole.TECHNICIAN, "RT",
          PersonRole.LEAD, "MA",
          PersonRole.STOREKEEPER, "SB",
          PersonRole.DISPLAY, "WD");

  @Autowired private ApiClient desk;

  @BeforeAll
  static void aScreenHangsOnTheWall(@Autowired People people, @Autowired Pins pins) {
    people.add("WD", PersonRole.DISPLAY, false, ApiClient.pin("WD"));
    pins.set("WD", ApiClient.pin("WD"), false);
  }

  private List<DescribedOperation> operations() {
    return DescribedOperation.all(desk.asNobody());
  }

  private static Optional<Right> right(DescribedOperation o) {
    return Code.parse(Right.class, o.described().path("x-right").asText());
  }

  /** What is answered to who only asks: a right is looked at before anything else is. */
  private static int status(DescribedOperation o, ApiClient client) {
    var kinds = o.described().at("/requestBody/content").fieldNames();
    String kind = kinds.hasNext() ? kinds.next() : "application/json";
    return client.mayAsk(o.method(), o.path().replaceAll("\\{[^}]*}", "0"), kind).status();
  }

  @Test
  void everyOperationStatesItsRight() {
    assertThat(operations()).hasSizeGreaterThan(80);
    assertThat(operations()).filteredOn(o -> right(o).isEmpty()).isEmpty();
  }

  @Test
  void nobodyWhoIsNotSignedInGetsPastWhatIsOpen() {
    Set<String> open = new TreeSet<>();
    for (DescribedOperation o : operations()) {
      if (right(o).orElseThrow() == Right.OPEN) {
        open.add(o.name().replaceFirst("/compute/.*", "/compute/"));
      } else {
        assertThat(status(o, desk.asNobody())).as(o.name()).isEqualTo(NOT_SIGNED_IN);
      }
    }
    assertThat(open)
        .containsExactly(
            "DELETE /api/v1/session",
            "GET /api/v1/authority",
            "GET /api/v1/authority/certificate",
            "GET /api/v1/people",
            "GET /api/v1/session",
            "POST /api/v1/compute/",
            "POST /api/v1/first-lead",
            "POST /api/v1/session");
  }

  @ParameterizedTest
  @EnumSource(PersonRole.class)
  void aRoleDoesWhatIsItsOwnAndNothingElse(PersonRole role) {
    ApiClient client = desk.as(PEOPLE.get(role));
    for (DescribedOperation o : operations()) {
      assertThat(status(o, client))
          .as(role + " " + o.name())
          .isEqualTo(right(o).orElseThrow().of(role) ? DONE : NOT_THEIRS);
    }
  }

  @Test
  void whatIsDoneWithALotHasTheRightOfTheAct() {
    String counted = "{\"lot\": \"L-0388\", \"count\": 3}";
    assertThat(desk.as("RT").post("/api/v1/stores/acts/count", counted).status())
        .isEqualTo(NOT_THEIRS);
    assertThat(desk.as("SB").post("/api/v1/stores/acts/count", counted).status()).isEqualTo(200);
  }

  @Test
  void whoDidItComesFromTheSessionWhateverTheRequestSays() {
    ApiClient.Job job = desk.job("SCR-04");
    job.does("NOTED", Map.of("text", "wet floor", "who", "KO"));
    assertThat(job.log().get(0).path("who").asText()).isEqualTo("KO");
    desk.as("RT")
        .post(
            "/api/v1/rebuilds/" + job.id() + "/acts",
            "{\"key\": \"4f0c6d1e-0000-4000-8000-000000000001\", \"seen\": 1, \"who\": \"MA\","
                + " \"act\": {\"kind\": \"NOTED\", \"text\": \"dry\", \"who\": \"MA\"}}");
    assertThat(job.log().get(1).path("who").asText()).isEqualTo("RT");
  }
}
