package dev.lonja.app.house;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.simpleNameEndingWith;
import static com.tngtech.archunit.lang.conditions.ArchConditions.have;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noFields;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The floors of the house, and the doors between rooms. */
@AnalyzeClasses(packages = "dev.lonja", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

  @ArchTest
  static final ArchRule FLOORS_SEE_ONLY_THOSE_BELOW =
      layeredArchitecture()
          .consideringOnlyDependenciesInLayers()
          .layer("core")
          .definedBy("dev.lonja.core..")
          .layer("store")
          .definedBy("dev.lonja.store..")
          .layer("desk")
          .definedBy("dev.lonja.desk..")
          .layer("web")
          .definedBy("dev.lonja.web..")
          .layer("app")
          .definedBy("dev.lonja.app..")
          .whereLayer("app")
          .mayNotBeAccessedByAnyLayer()
          .whereLayer("web")
          .mayOnlyBeAccessedByLayers("app")
          .whereLayer("desk")
          .mayOnlyBeAccessedByLayers("web", "app")
          .whereLayer("store")
          .mayOnlyBeAccessedByLayers("desk", "web", "app");

  @ArchTest
  static final ArchRule ONLY_THE_STORE_SEES_JOOQ =
      noClasses()
          .that()
          .resideOutsideOfPackage("dev.lonja.store..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.jooq..", "dev.lonja.store.schema..", "org.flywaydb..");

  @ArchTest
  static final ArchRule DESKS_KNOW_NO_HTTP =
      noClasses()
          .that()
          .resideInAPackage("dev.lonja.desk..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "jakarta.servlet..", "org.springframework.web..", "org.springframework.http..");

  @ArchTest
  static final ArchRule DESKS_HAVE_NO_CYCLES =
      slices().matching("dev.lonja.desk.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule ROOMS_HAVE_NO_CYCLES =
      slices().matching("dev.lonja.web.(*)..").should().beFreeOfCycles();

  /** Values that a desk only passes on may come from the store; what reads and writes may not. */
  @ArchTest
  static final ArchRule PAGES_LEAVE_THE_STORE_TO_THEIR_DESKS =
      noClasses()
          .that()
          .resideInAPackage("dev.lonja.web..")
          .should()
          .dependOnClassesThat()
          .haveNameMatching("dev\\.lonja\\.store\\.(LonjaStore|Session|.*Repository)");

  /** What may be done is decided in one place. */
  @ArchTest
  static final ArchRule ONLY_DESKS_GRANT =
      noClasses()
          .that()
          .resideInAnyPackage("dev.lonja.web..", "dev.lonja.core..", "dev.lonja.store..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("org.springframework.security.access.prepost..");

  /** Elsewhere nobody would look for it. */
  @ArchTest
  static final ArchRule ONLY_DESKS_CARRY_GRANTS =
      noClasses()
          .that()
          .resideOutsideOfPackage("dev.lonja.desk..")
          .should()
          .dependOnClassesThat()
          .haveNameMatching("dev\\.lonja\\.desk\\.person\\.Allowed.*");

  @ArchTest
  static final ArchRule DESKS_DO_NOT_CALL_DESKS =
      noFields()
          .that()
          .areDeclaredInClassesThat()
          .resideInAPackage("dev.lonja.desk..")
          .and()
          .doNotHaveModifier(JavaModifier.SYNTHETIC)
          .should()
          .haveRawType(simpleNameEndingWith("Desk"));

  @ArchTest
  static final ArchRule CONTROLLERS_STAY_WITHIN_THEIR_ROOM =
      classes().that().haveSimpleNameEndingWith("Controller").should().bePackagePrivate();

  /** The expressions of templates are compiled, and compiled they read public records only. */
  @ArchTest
  static final ArchRule WHAT_TEMPLATES_READ_IS_PUBLIC =
      classes()
          .that()
          .resideInAPackage("dev.lonja.web..")
          .and()
          .haveNameMatching(".*View(\\$.*)?")
          .and()
          .areRecords()
          .should()
          .bePublic();

  /** A record of a page with more components than this is several. */
  @ArchTest
  static final ArchRule VIEWS_STAY_NARROW =
      classes()
          .that()
          .resideInAPackage("dev.lonja.web..")
          .and()
          .areRecords()
          .should(
              have(
                  describe(
                      "at most 10 components",
                      type ->
                          type.getFields().stream()
                                  .filter(f -> !f.getModifiers().contains(JavaModifier.STATIC))
                                  .count()
                              <= 10)));
}
