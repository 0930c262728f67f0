package dev.lonja.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "dev.lonja", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

  @ArchTest
  static final ArchRule ONLY_THE_STORE_SEES_JOOQ =
      noClasses()
          .that()
          .resideOutsideOfPackage("dev.lonja.store..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.jooq..", "dev.lonja.store.schema..", "org.flywaydb..");

  @ArchTest
  static final ArchRule MODULES_POINT_DOWNWARDS =
      noClasses()
          .that()
          .resideInAnyPackage("dev.lonja.core..", "dev.lonja.store..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("dev.lonja.web..");

  @ArchTest
  static final ArchRule FEATURES_HAVE_NO_CYCLES =
      slices().matching("dev.lonja.web.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule CONTROLLERS_LEAVE_THE_STORE_TO_THEIR_DESKS =
      noClasses()
          .that()
          .haveSimpleNameEndingWith("Controller")
          .should()
          .dependOnClassesThat()
          .haveFullyQualifiedName("dev.lonja.store.LonjaStore");

  @ArchTest
  static final ArchRule CONTROLLERS_STAY_WITHIN_THEIR_FEATURE =
      classes().that().haveSimpleNameEndingWith("Controller").should().bePackagePrivate();
}
