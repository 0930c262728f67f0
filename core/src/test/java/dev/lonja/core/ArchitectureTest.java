package dev.lonja.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "dev.lonja.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

  @ArchTest
  static final ArchRule THE_CORE_KNOWS_ONLY_JAVA =
      classes()
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage(
              "dev.lonja.core..",
              "java..",
              "org.jspecify..",
              "org.apache.commons.statistics..",
              "org.jgrapht..",
              "org.apache.commons.rng..",
              "org.ojalgo..");

  @ArchTest
  static final ArchRule THE_CORE_DOES_NO_INPUT_OR_OUTPUT =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("java.io..", "java.nio..", "java.net..", "java.sql..");

  @ArchTest
  static final ArchRule THE_CORE_HAS_NO_CLOCK =
      noClasses()
          .should()
          .callMethod("java.time.LocalDate", "now")
          .orShould()
          .callMethod("java.time.Instant", "now")
          .orShould()
          .dependOnClassesThat()
          .haveFullyQualifiedName("java.time.Clock");

  @ArchTest
  static final ArchRule PACKAGES_HAVE_NO_CYCLES =
      slices().matching("dev.lonja.core.(*)..").should().beFreeOfCycles();
}
