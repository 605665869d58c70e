package isokinon.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.Map;
import java.util.stream.Collectors;

/** The rules of the job know no framework, no database, no interface and no clock of their own. */
@AnalyzeClasses(packages = "isokinon.core", importOptions = ImportOption.DoNotIncludeTests.class)
class CoreWallsTest {

  @ArchTest
  static final ArchRule coreImportsNoFramework =
      classes()
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage(
              "isokinon.core..",
              "java..",
              "org.yaml.snakeyaml..",
              "org.apache.commons.csv..",
              "org.apache.commons.numbers.gamma..",
              "org.apache.commons.statistics..");

  @ArchTest
  static final ArchRule coreKnowsNoDatabase =
      noClasses().should().dependOnClassesThat().resideInAnyPackage("java.sql..", "javax.sql..");

  @ArchTest
  static final ArchRule coreHasNoClockOfItsOwn =
      noClasses()
          .should()
          .callMethod(java.time.Instant.class, "now")
          .orShould()
          .callMethod(java.time.LocalDate.class, "now")
          .orShould()
          .callMethod(System.class, "currentTimeMillis")
          .orShould()
          .callMethod(System.class, "nanoTime");

  @ArchTest
  static final ArchRule packagesFormNoCycle =
      slices().matching("isokinon.core.(*)..").should().beFreeOfCycles();

  @ArchTest
  static void noPackageHoldsMoreThanSomeoneKeepsInMind(JavaClasses classes) {
    Map<String, Long> sizes =
        classes.stream()
            .filter(c -> c.isTopLevelClass() && !c.getSimpleName().equals("package-info"))
            .collect(Collectors.groupingBy(JavaClass::getPackageName, Collectors.counting()));
    assertThat(sizes).isNotEmpty().allSatisfy((name, n) -> assertThat(n).as(name).isLessThan(16));
  }
}
