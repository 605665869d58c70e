package isokinon.server.http;

import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ComposedSchema;
import io.swagger.v3.oas.models.media.Schema;
import isokinon.server.work.bench.BenchView;
import isokinon.server.work.diary.DiaryView;
import isokinon.server.work.floor.Floor;
import isokinon.server.work.floor.OpenWaits;
import isokinon.server.work.floor.Pumps;
import isokinon.server.work.history.BackUp;
import isokinon.server.work.history.Counters;
import isokinon.server.work.history.History;
import isokinon.server.work.insights.Insights;
import isokinon.server.work.inspection.FindingView;
import isokinon.server.work.inspection.Trends;
import isokinon.server.work.instruments.Gauges;
import isokinon.server.work.instruments.Wrenches;
import isokinon.server.work.life.Comparison;
import isokinon.server.work.life.LifeView;
import isokinon.server.work.lives.PolicyService;
import isokinon.server.work.materials.Materials;
import isokinon.server.work.pumps.DutyForm;
import isokinon.server.work.stores.StoresView;
import isokinon.server.work.symptoms.Symptoms;
import isokinon.server.work.wetends.ChooserView;
import isokinon.server.work.wetends.WetEnds;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The OpenAPI description: every field of an answer is there, and only an {@link Optional} one, or
 * one that somebody left out of a form, may be null. The screens' types are generated from it.
 */
@Configuration
class ApiDescription {

  /** Classes whose nested records are answers. */
  private static final List<Class<?>> ANSWERS =
      List.of(
          BenchView.class,
          FindingView.class,
          Symptoms.class,
          Gauges.class,
          Trends.class,
          OpenWaits.class,
          Wrenches.class,
          Floor.class,
          Pumps.class,
          WetEnds.class,
          ChooserView.class,
          Counters.class,
          Insights.class,
          History.class,
          LifeView.class,
          PolicyService.class,
          Comparison.class,
          StoresView.class,
          DiaryView.class,
          BackUp.class,
          DutyForm.class,
          Materials.class,
          ComputeController.class,
          LifeController.class);

  /** Records that people fill in: what they leave out is null. */
  private static final Set<Class<?>> FORMS = Set.of(DutyForm.class, DutyForm.FluidForm.class);

  @Bean
  OpenApiCustomizer requiredAndNullable() {
    Map<String, Class<?>> records =
        ANSWERS.stream()
            .flatMap(c -> Stream.concat(Stream.of(c), Stream.of(c.getDeclaredClasses())))
            .filter(Class::isRecord)
            .collect(Collectors.toMap(Class::getSimpleName, c -> c));
    return api -> {
      api.setInfo(
          new Info().title("Isokinon").version("v1").description("Pump rebuilds, computed"));
      api.setServers(List.of());
      api.getComponents().getSchemas().forEach((name, schema) -> describe(name, schema, records));
    };
  }

  private static void describe(String name, Schema<?> schema, Map<String, Class<?>> records) {
    if (schema.getProperties() == null || name.endsWith("Question") || name.endsWith("Request")) {
      return;
    }
    schema.setRequired(new ArrayList<>(schema.getProperties().keySet()));
    if (records.containsKey(name)) {
      for (RecordComponent field : records.get(name).getRecordComponents()) {
        boolean left = FORMS.contains(records.get(name)) && !List.class.equals(field.getType());
        if (left || field.getType() == Optional.class) {
          schema.getProperties().computeIfPresent(field.getName(), (n, p) -> nullable(p));
        }
      }
    }
  }

  private static Schema<?> nullable(Schema<?> property) {
    if (property.get$ref() == null) {
      property.setNullable(true);
      return property;
    }
    Schema<?> wrapped =
        new ComposedSchema().allOf(List.of(new Schema<>().$ref(property.get$ref())));
    wrapped.setNullable(true);
    return wrapped;
  }
}
