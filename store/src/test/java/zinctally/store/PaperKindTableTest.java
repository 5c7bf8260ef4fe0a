package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.Trait;

/** What SQL knows of kinds of paper is what they say of themselves. */
class PaperKindTableTest {
  private record Row(
      String kind,
      String words,
      String side,
      boolean orders,
      boolean bills,
      boolean counter,
      boolean byHand,
      boolean opens) {
    static Row of(PaperKind kind) {
      return new Row(
          kind.name(),
          kind.words(),
          kind.side().map(Party.Kind::name).orElse(""),
          kind.is(Trait.ORDERS),
          kind.is(Trait.BILLS),
          kind.is(Trait.COUNTER),
          kind.is(Trait.BY_HAND),
          kind.is(Trait.SHEET));
    }
  }

  @Test
  void every_kind_of_paper_has_its_row() {
    try (FreshBook book = new FreshBook()) {
      assertThat(
              book.sql()
                  .sql(
                      "select kind, words, side, orders, bills, counter, by_hand, opens from paper_kind")
                  .query(
                      (row, n) ->
                          new Row(
                              row.getString(1),
                              row.getString(2),
                              row.getString(3),
                              row.getBoolean(4),
                              row.getBoolean(5),
                              row.getBoolean(6),
                              row.getBoolean(7),
                              row.getBoolean(8)))
                  .list())
          .containsExactlyInAnyOrderElementsOf(
              Arrays.stream(PaperKind.values()).map(Row::of).toList());
      assertThat(
              book.sql()
                  .sql("select kind from paper_kind where sale > 0")
                  .query(String.class)
                  .list())
          .containsExactlyInAnyOrderElementsOf(
              Arrays.stream(PaperKind.values())
                  .filter(k -> k.is(Trait.SELLS))
                  .map(PaperKind::name)
                  .toList());
    }
  }
}
