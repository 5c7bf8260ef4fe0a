package zinctally.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

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
  static final ArchRule NO_PACKAGE_OF_STORE_STANDS_IN_A_CYCLE =
      slices().matching("zinctally.store.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule WHAT_SERVES_A_BOOK_KNOWS_NOTHING_OF_THE_MADE_UP_ONE =
      noClasses()
          .that()
          .resideInAnyPackage("zinctally.core..", "zinctally.store..", "zinctally.web..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("zinctally.demo..");

  @ArchTest
  static final ArchRule SQL_IS_WRITTEN_IN_STORE_ALONE =
      noClasses()
          .that()
          .resideInAPackage("zinctally.web..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.springframework.jdbc..", "java.sql..");
}
