package isokinon.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import isokinon.core.sheet.reading.SheetReader;
import isokinon.core.value.Code;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yaml.snakeyaml.Yaml;

/** The JSON Schema that editors use and the reader say the same of a sheet's structure. */
class SheetSchemaTest {

  private static final ObjectMapper JSON = new ObjectMapper();
  private static final JsonNode SCHEMA = schema();
  private static final JsonSchema CHECK =
      JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(SCHEMA);

  private static JsonNode schema() {
    try {
      return JSON.readTree(Files.readString(Path.of("../library/sheets/sheet.schema.json")));
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private static List<String> faults(String yaml) {
    JsonNode sheet = JSON.valueToTree(new Yaml().load(yaml));
    return CHECK.validate(sheet).stream()
        .map(m -> m.getInstanceLocation() + " " + m.getMessage())
        .toList();
  }

  @Test
  void everyShippedSheetKeepsToTheSchema() throws IOException {
    try (Stream<Path> files = Files.list(Path.of("../library/sheets"))) {
      assertThat(files.filter(f -> f.toString().endsWith(".yaml")).toList())
          .isNotEmpty()
          .allSatisfy(f -> assertThat(faults(Files.readString(f))).isEmpty());
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "family: air-diaphragm|family: steam-engine",
        "startPose: upright|startPose: ''",
        "id: outlet-balls|id: Outlet Balls",
        "renew: one-time|renew: sometimes",
        "care: [fragile, loose]|care: [explosive]",
        "stripMinutes: 4|stripMinutes: -4",
        "stripMinutes: 4|stripMinutes: soon",
        "layout: circle|layout: star",
        "count: 8|count: 0",
        "kind: confirm|kind: maybe",
        "energy: air|energy: steam",
        "name: Outlet balls|nickname: Outlet balls",
        "toward: in|toward: up",
        "rail: wet|rail: wet, view: round",
        "layout: circle|layout: circle, page: 'a page with a long name'",
      })
  void whatTheSchemaRefusesTheReaderRefusesToo(String was, String is) {
    String bad =
        ShippedSheet.source("aodd-bolted-plastic-25")
            .replaceFirst(java.util.regex.Pattern.quote(was), is.replace("''", "\"\""));
    assertThat(bad).isNotEqualTo(ShippedSheet.source("aodd-bolted-plastic-25"));
    assertThat(faults(bad)).isNotEmpty();
    assertThat(SheetReader.forLibrary().read(bad).faults()).isNotEmpty();
  }

  @Test
  void theWordsOfTheSchemaAreTheCodesOfTheReader() {
    assertThat(words("/properties/family")).isEqualTo(codes(Family.values()));
    assertThat(words("/$defs/part/properties/section")).isEqualTo(codes(Part.Section.values()));
    assertThat(words("/$defs/part/properties/renew")).isEqualTo(codes(Part.Renew.values()));
    assertThat(words("/$defs/part/properties/care/items")).isEqualTo(codes(Part.Care.values()));
    assertThat(words("/$defs/part/properties/place/properties/toward"))
        .isEqualTo(codes(Part.Toward.values()));
    assertThat(words("/$defs/line/properties/view")).isEqualTo(codes(Sheet.View.values()));
    assertThat(words("/$defs/school/properties/ways/items/properties/effect"))
        .isEqualTo(codes(School.Effect.values()));
    assertThat(words("/$defs/fastening/properties/layout"))
        .isEqualTo(codes(Handling.Layout.values()));
    assertThat(words("/$defs/check/properties/when")).isEqualTo(codes(Handling.When.values()));
    assertThat(words("/$defs/check/properties/kind")).isEqualTo(codes(Handling.Answer.values()));
    assertThat(words("/$defs/hazard/properties/energy")).isEqualTo(codes(Sheet.Energy.values()));
  }

  private static List<String> words(String pointer) {
    return StreamSupport.stream(SCHEMA.at(pointer).get("enum").spliterator(), false)
        .map(JsonNode::asText)
        .toList();
  }

  private static List<String> codes(Code[] values) {
    return Arrays.stream(values).map(Code::code).toList();
  }
}
