package isokinon.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noFields;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTag;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** One way through: http to work to core, with db beside work. */
@ArchTag("slow")
@AnalyzeClasses(packages = "isokinon.server", importOptions = ImportOption.DoNotIncludeTests.class)
class ServerWallsTest {

  @ArchTest
  static final ArchRule oneWayThrough =
      layeredArchitecture()
          .consideringOnlyDependenciesInLayers()
          .layer("http")
          .definedBy("isokinon.server.http..")
          .layer("papers")
          .definedBy("isokinon.server.papers..")
          .layer("work")
          .definedBy("isokinon.server.work..")
          .layer("access")
          .definedBy("isokinon.server.access..")
          .layer("gauge")
          .definedBy("isokinon.server.gauge..")
          .layer("demo")
          .definedBy("isokinon.server.demo..")
          .layer("db")
          .definedBy("isokinon.server.db..")
          .whereLayer("http")
          .mayNotBeAccessedByAnyLayer()
          .whereLayer("demo")
          .mayNotBeAccessedByAnyLayer()
          .whereLayer("papers")
          .mayOnlyBeAccessedByLayers("http")
          .whereLayer("work")
          .mayOnlyBeAccessedByLayers("http", "papers", "demo")
          .whereLayer("access")
          .mayOnlyBeAccessedByLayers("http", "work", "demo")
          .whereLayer("gauge")
          .mayOnlyBeAccessedByLayers("http", "work")
          .whereLayer("db")
          .mayOnlyBeAccessedByLayers("work", "access", "demo");

  @ArchTest
  static final ArchRule dbKnowsNoHttp =
      noClasses()
          .that()
          .resideInAPackage("..db..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.springframework.web..", "jakarta.servlet..");

  @ArchTest
  static final ArchRule devicesKnowNoRowsAndNoUseCase =
      noClasses()
          .that()
          .resideInAPackage("..gauge..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("..db..", "..work..", "..http..", "..access..");

  @ArchTest
  static final ArchRule useCasesFormNoCycle =
      slices().matching("isokinon.server.work.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule tablesFormNoCycle =
      slices().matching("isokinon.server.db.(*)..").should().beFreeOfCycles();

  @ArchTest
  static void noPackageHoldsMoreThanSomeoneKeepsInMind(JavaClasses classes) {
    Map<String, Long> sizes =
        classes.stream()
            .filter(c -> c.isTopLevelClass())
            .filter(c -> !c.getSimpleName().equals("package-info"))
            .collect(Collectors.groupingBy(JavaClass::getPackageName, Collectors.counting()));
    assertThat(sizes).isNotEmpty().allSatisfy((name, n) -> assertThat(n).as(name).isLessThan(16));
  }

  /** Files that may be longer than four hundred lines, and why. */
  private static final Map<String, String> LONGER =
      Map.of("Rebuild.java", "the face of a rebuild: every question is one line that asks a part");

  @ArchTest
  static void noFileIsLongerThanSomeoneReads(JavaClasses classes) throws IOException {
    for (String root : List.of("src/main/java", "../core/src/main/java")) {
      try (Stream<Path> files = Files.walk(Path.of(root))) {
        for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
          if (!LONGER.containsKey(file.getFileName().toString())) {
            assertThat(Files.readAllLines(file)).as(file.toString()).hasSizeLessThan(400);
          }
        }
      }
    }
  }

  @ArchTest
  static final ArchRule nothingIsInjectedIntoFields =
      noFields().should().beAnnotatedWith("org.springframework.beans.factory.annotation.Autowired");

  @ArchTest
  static final ArchRule theClockIsInjected =
      noClasses()
          .should()
          .callMethod(java.time.Instant.class, "now")
          .orShould()
          .callMethod(java.time.LocalDate.class, "now")
          .orShould()
          .callMethod(System.class, "currentTimeMillis");
}
