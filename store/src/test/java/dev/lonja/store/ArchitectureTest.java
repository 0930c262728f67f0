package dev.lonja.store;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "dev.lonja.store", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

  @ArchTest
  static final ArchRule NO_JOOQ_TYPE_LEAVES_A_REPOSITORY =
      methods()
          .that()
          .arePublic()
          .and()
          .areDeclaredInClassesThat()
          .resideOutsideOfPackages("dev.lonja.store.schema..", "dev.lonja.store.query..")
          .and()
          .areDeclaredInClassesThat()
          .arePublic()
          .should()
          .notHaveRawReturnType(
              describe(
                  "of jOOQ", (JavaClass type) -> type.getPackageName().startsWith("org.jooq")));

  @ArchTest
  static final ArchRule THE_STORE_KNOWS_NO_WEB =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "dev.lonja.desk..", "dev.lonja.web..", "org.springframework..", "jakarta.servlet..");

  /** The root opens sessions on all features; the features know each other, but not in circles. */
  @ArchTest
  static final ArchRule FEATURES_HAVE_NO_CYCLES =
      slices()
          .matching("dev.lonja.store.(*)..")
          .should()
          .beFreeOfCycles()
          .ignoreDependency(
              describe("any", type -> true),
              describe(
                  "the store itself", type -> type.getPackageName().equals("dev.lonja.store")));
}
