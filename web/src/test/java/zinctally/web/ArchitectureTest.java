package zinctally.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "zinctally", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule CORE_KNOWS_NO_STORE_NO_WEB_NO_SPRING_NO_SQL =
      noClasses()
          .that()
          .resideInAPackage("zinctally.core..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "zinctally.store..",
              "zinctally.web..",
              "org.springframework..",
              "java.sql..",
              "jakarta..");

  @ArchTest
  static final ArchRule STORE_KNOWS_NO_WEB =
      noClasses()
          .that()
          .resideInAPackage("zinctally.store..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("zinctally.web..", "jakarta.servlet..");

  @ArchTest
  static final ArchRule SQL_IS_WRITTEN_IN_STORE_ALONE =
      noClasses()
          .that()
          .resideInAPackage("zinctally.web..")
          .and()
          .resideOutsideOfPackage("zinctally.web.demo..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.springframework.jdbc..", "java.sql..");
}
