package isokinon.server.http.description;

import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.Discriminator;
import io.swagger.v3.oas.models.media.IntegerSchema;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.parameters.Parameter;
import io.swagger.v3.oas.models.responses.ApiResponse;
import isokinon.server.access.Right;
import isokinon.server.http.security.RightOfTheAddress;
import isokinon.server.work.bench.AskedAct;
import isokinon.server.work.stages.StageView;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The OpenAPI description. The screens' types are generated from it. Every operation tells which
 * refusals it may answer with, and all of them have one shape.
 */
@Configuration
class ApiDescription {

  private static final String PROBLEM = "Problem";

  @Bean
  OpenApiCustomizer description() {
    return api -> {
      api.setInfo(
          new Info().title("Isokinon").version("v1").description("Pump rebuilds, computed"));
      api.setServers(List.of());
      api.getComponents().addSchemas("ProblemFault", fault());
      api.getComponents().addSchemas(PROBLEM, problem());
      api.getComponents().setSchemas(new TreeMap<>(api.getComponents().getSchemas()));
      stages(api.getComponents().getSchemas());
      acts(api.getComponents().getSchemas());
      api.getPaths().forEach((path, item) -> refusals(path, item));
      ApiTerms.shipped().describe(api);
    };
  }

  /** Which right an operation needs, and how it refuses who has it not. */
  @Bean
  OperationCustomizer rights() {
    return (operation, method) -> {
      RightOfTheAddress.right(method)
          .ifPresent(
              right -> {
                operation.addExtension("x-right", right.code());
                if (right != Right.OPEN) {
                  refuse(operation, "401", "Nobody is signed in");
                  refuse(operation, "403", "It is not for who is signed in");
                }
              });
      return operation;
    };
  }

  /** What the bench shows is told apart by its stage: each kind of it has one. */
  @SuppressWarnings("rawtypes")
  private static void stages(Map<String, Schema> schemas) {
    for (Class<?> kind : StageView.class.getPermittedSubclasses()) {
      String name = kind.getAnnotation(io.swagger.v3.oas.annotations.media.Schema.class).name();
      tellApart(schemas, "StageView", name, AskedAct.kind(kind), "The stage in hand");
    }
  }

  /** What is done at the bench is told apart by its kind. */
  @SuppressWarnings("rawtypes")
  private static void acts(Map<String, Schema> schemas) {
    for (Class<?> kind : AskedAct.kinds()) {
      String name = kind.getSimpleName();
      tellApart(schemas, "AskedAct", name, AskedAct.kind(kind), "What was done");
      schemas.get(name).addRequiredItem("kind");
    }
    schemas.get("AskedAct").setProperties(null); // each kind has its own
  }

  /** Writes into one kind of a choice the word that tells it from the others. */
  @SuppressWarnings("rawtypes")
  private static void tellApart(
      Map<String, Schema> schemas, String choice, String name, String word, String meaning) {
    Discriminator by = schemas.get(choice).getDiscriminator();
    by.mapping(word, "#/components/schemas/" + name);
    StringSchema only = new StringSchema();
    only.addEnumItem(word);
    only.description(meaning + "; it tells the kinds apart");
    schemas.get(name).addProperty(by.getPropertyName(), only);
  }

  private static Schema<?> fault() {
    return new ObjectSchema()
        .description("What is wrong at one field")
        .addProperty(
            "path",
            new StringSchema()
                .description("The field, as a path into the request; empty for all of it"))
        .addProperty("message", new StringSchema().description("One sentence for whoever asked"))
        .addProperty(
            "line", new IntegerSchema().description("Line of a file; left out where none is known"))
        .addRequiredItem("path")
        .addRequiredItem("message");
  }

  private static Schema<?> problem() {
    return new ObjectSchema()
        .description("Why a request is not done (RFC 9457)")
        .addProperty("status", new IntegerSchema().description("The HTTP status"))
        .addProperty("title", new StringSchema().description("The kind of problem"))
        .addProperty("detail", new StringSchema().description("The first fault in one sentence"))
        .addProperty(
            "errors",
            new ArraySchema()
                .items(new Schema<>().$ref("#/components/schemas/ProblemFault"))
                .description("Every fault, at least one"))
        .addProperty(
            "now",
            new Schema<>()
                .description("The state now, where somebody else acted first; else left out"))
        .addRequiredItem("status")
        .addRequiredItem("title")
        .addRequiredItem("detail")
        .addRequiredItem("errors");
  }

  private static void refusals(String path, PathItem item) {
    item.readOperationsMap()
        .forEach(
            (method, operation) -> {
              boolean names =
                  path.contains("{")
                      || operation.getRequestBody() != null
                      || !parameters(operation).isEmpty();
              if (operation.getRequestBody() != null || !parameters(operation).isEmpty()) {
                refuse(operation, "400", "A field is missing or is of another kind");
              }
              refuse(operation, "406", "It cannot be given in the kind that is asked for");
              if (names) {
                refuse(operation, "404", "Nothing is called so");
              }
              if (method != PathItem.HttpMethod.GET) {
                refuse(operation, "422", "It does not fit the state of things");
              }
              if (operation.getRequestBody() != null) {
                refuse(operation, "413", "The body is longer than this address takes");
                refuse(operation, "415", "The body is of another kind");
              }
              if (path.endsWith("/acts") && path.contains("/rebuilds/")) {
                refuse(operation, "409", "Somebody else acted first; the state now is in it");
              }
            });
  }

  private static List<Parameter> parameters(Operation operation) {
    return operation.getParameters() == null
        ? List.of()
        : operation.getParameters().stream().filter(p -> "query".equals(p.getIn())).toList();
  }

  private static void refuse(Operation operation, String status, String why) {
    operation
        .getResponses()
        .addApiResponse(
            status,
            new ApiResponse()
                .description(why)
                .content(
                    new Content()
                        .addMediaType(
                            "application/problem+json",
                            new MediaType()
                                .schema(new Schema<>().$ref("#/components/schemas/" + PROBLEM)))));
  }
}
