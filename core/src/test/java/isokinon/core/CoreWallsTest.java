package isokinon.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

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
}
