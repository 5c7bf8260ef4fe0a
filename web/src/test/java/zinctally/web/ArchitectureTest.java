package zinctally.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaFieldAccess;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import zinctally.core.papers.PaperKind;

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

  private static final DescribedPredicate<JavaFieldAccess> A_KIND_BY_NAME =
      DescribedPredicate.describe(
          "a kind of paper by its name",
          access ->
              access.getTargetOwner().isEquivalentTo(PaperKind.class)
                  && access.getTarget().getRawType().isEquivalentTo(PaperKind.class));

  /** Kinds are named in their folders, in the lists and forms of their area, and in registries. */
  @ArchTest
  static final ArchRule WHAT_SERVES_EVERY_KIND_NAMES_NONE =
      noClasses()
          .that()
          .resideInAnyPackage(
              "zinctally.core.papers.read..",
              "zinctally.core.papers.plan..",
              "zinctally.store.posting..",
              "zinctally.store.paper..",
              "zinctally.store.sql..",
              "zinctally.store.check..",
              "zinctally.store.cost..",
              "zinctally.store.goods..",
              "zinctally.store.ledger..",
              "zinctally.store.prove..",
              "zinctally.web.paper..",
              "zinctally.web.listing..",
              "zinctally.web.find..",
              "zinctally.web.people..",
              "zinctally.web.picture..")
          .should()
          .accessFieldWhere(A_KIND_BY_NAME);

  @ArchTest
  static final ArchRule SQL_IS_WRITTEN_IN_STORE_ALONE =
      noClasses()
          .that()
          .resideInAPackage("zinctally.web..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.springframework.jdbc..", "java.sql..");

  /** What is the same for every book, or told apart by book, and nothing of what stands in one. */
  private static final Set<String> KEEP = Set.of("Forms", "Turns", "Shares", "ChangingWords");

  /** One program may serve many books: what one request leaves behind, another book's may find. */
  @ArchTest
  static final ArchRule NOTHING_OF_A_BOOK_IS_KEPT_BETWEEN_REQUESTS =
      fields()
          .that()
          .areDeclaredInClassesThat()
          .areMetaAnnotatedWith(Component.class)
          .and()
          .areNotStatic()
          .and()
          .areDeclaredInClassesThat()
          .resideInAnyPackage("zinctally.store..", "zinctally.web..")
          .and()
          .areDeclaredInClassesThat(
              DescribedPredicate.not(
                  DescribedPredicate.describe(
                      "that keep what is no book's", c -> KEEP.contains(c.getSimpleName()))))
          .should()
          .beFinal()
          .andShould()
          .notHaveRawType(
              JavaClass.Predicates.assignableTo(Map.class)
                  .or(JavaClass.Predicates.assignableTo(Set.class))
                  .or(JavaClass.Predicates.resideInAPackage("java.util.concurrent.atomic")));
}
