package zinctally.core.papers;

import static org.assertj.core.api.Assertions.assertThat;
import static zinctally.core.papers.SmallBook.BARN;
import static zinctally.core.papers.SmallBook.FENWICK;
import static zinctally.core.papers.SmallBook.HIVE;
import static zinctally.core.papers.SmallBook.ORRIN;
import static zinctally.core.papers.SmallBook.STANDARD;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zinctally.core.papers.SmallBook.Written;
import zinctally.core.papers.back.CreditDue;
import zinctally.core.papers.flow.Traded;
import zinctally.core.papers.money.OpenItem;

/** What is kept and shown of a paper, which it says of itself. */
class WhatPapersSayTest {
  private static final LocalDate DAY = LocalDate.of(2026, 11, 10);
  private final SmallBook book = new SmallBook();

  @BeforeEach
  void earlier() {
    traded(500, PaperKind.BILL, "B-1", ORRIN);
    traded(501, PaperKind.INVOICE, "INV-1", FENWICK);
    book.credits.add(
        new CreditDue(
            new OpenItem(9, ORRIN.id(), "RS-1", DAY, DAY, 2880, 2880, "RS-1"),
            "RS-1",
            DAY,
            2400,
            480,
            STANDARD));
  }

  private void traded(long event, PaperKind kind, String number, Party who) {
    book.traded.add(
        new Traded(
            event,
            kind,
            event - 460,
            number,
            DAY,
            0,
            who.id(),
            HIVE,
            10_000_000,
            0,
            5000,
            6000,
            STANDARD,
            0,
            Map.of(),
            "",
            null));
  }

  /** Two hives of 10.00 and tax, or what comes nearest to it. */
  private static Written two(PaperKind kind) {
    Written written = Written.of(kind).with("reference", "PO 7").with("their_number", "OJ-1");
    return switch (kind) {
      case SUPPLIER_RETURN -> written.line("paper", "B-1", "quantity", "2");
      case CUSTOMER_RETURN -> written.line("paper", "INV-1", "quantity", "2");
      case SUPPLIER_CREDIT -> written.line("paper", "RS-1", "net", "20.00", "tax", "4.00");
      case CHARGE ->
          written
              .with("amount", "20")
              .with("spread", "value")
              .with("tax", "S")
              .with("what", "Carriage")
              .line("bill", "B-1");
      case SUPPLIER_PAYMENT, CUSTOMER_PAYMENT -> written.with("money", "1200").with("amount", "24");
      default -> written.line("item", "HIVE", "quantity", "2", "price", "10.00", "tax", "S");
    };
  }

  private Paper paper(PaperKind kind) {
    return book.paper(two(kind).agreed(book));
  }

  @ParameterizedTest
  @EnumSource(
      names = {
        "PURCHASE_ORDER",
        "RECEIPT",
        "BILL",
        "CHARGE",
        "SUPPLIER_RETURN",
        "SUPPLIER_CREDIT",
        "SUPPLIER_PAYMENT",
        "SALES_ORDER",
        "DELIVERY",
        "INVOICE",
        "CUSTOMER_RETURN",
        "CUSTOMER_PAYMENT"
      })
  void it_names_whom_it_is_from_or_for_and_is_the_same_with_one_who_is_made(PaperKind kind) {
    Paper paper = paper(kind);
    Party who = kind.side().orElseThrow() == Party.Kind.SUPPLIER ? ORRIN : FENWICK;
    assertThat(paper.kind()).isEqualTo(kind);
    assertThat(paper.date()).isEqualTo(LocalDate.of(2026, 11, 20));
    assertThat(paper.party()).contains(who);
    Party made = new Party(77, who.kind(), "Made", 0, true);
    boolean goesBack = kind.name().endsWith("RETURN") || kind == PaperKind.SUPPLIER_CREDIT;
    assertThat(paper.withParties(p -> made).party())
        .as("whom something goes back to is known")
        .contains(goesBack ? who : made);
    assertThat(paper.withParties(p -> made).rows()).isEqualTo(paper.rows());
  }

  @ParameterizedTest
  @EnumSource(names = {"PURCHASE_ORDER", "BILL", "SALES_ORDER", "INVOICE"})
  void a_priced_line_is_kept_with_all_that_was_typed_of_it(PaperKind kind) {
    Paper paper = paper(kind);
    Row row = paper.rows().get(0);
    assertThat(paper.rows()).hasSize(1);
    assertThat(List.of(row.line(), row.item(), row.quantity().toString(), row.unit()))
        .containsExactly(0, HIVE, "2", HIVE.units().base().sign());
    assertThat(row.price()).isEqualByComparingTo("10");
    assertThat(List.of(row.net(), row.tax())).containsExactly(2000L, 400L);
    assertThat(row.rate()).isEqualTo(STANDARD);
    assertThat(paper.items()).containsExactly(HIVE);
    assertThat(paper.total()).isEqualTo(2400);
    assertThat(List.of(paper.head().net(), paper.head().tax())).containsExactly(2000L, 400L);
    assertThat(paper.sums()).last().extracting(Sum::amount).isEqualTo(2400L);
    assertThat(paper.sums()).anyMatch(s -> s.amount() == 2000).anyMatch(s -> s.amount() == 400);
  }

  @ParameterizedTest
  @EnumSource(names = {"RECEIPT", "DELIVERY"})
  void goods_that_move_alone_are_kept_with_their_place(PaperKind kind) {
    Row row = paper(kind).rows().get(0);
    assertThat(row.item()).isEqualTo(HIVE);
    assertThat(row.quantity()).hasToString("2");
    assertThat(paper(kind).head().place()).isEqualTo(BARN);
    assertThat(paper(kind).head().reference()).isEqualTo(kind.is(Trait.SENDS) ? "PO 7" : "OJ-1");
  }

  @ParameterizedTest
  @EnumSource(names = {"SUPPLIER_RETURN", "CUSTOMER_RETURN"})
  void what_goes_back_is_kept_with_the_line_it_came_or_went_with(PaperKind kind) {
    Paper paper = paper(kind);
    Row row = paper.rows().get(0);
    assertThat(row.from().isThere()).isTrue();
    assertThat(row.net()).isEqualTo(1200);
    assertThat(row.tax()).isEqualTo(240);
    assertThat(paper.sums()).last().extracting(Sum::amount).isEqualTo(1440L);
    assertThat(paper.soldWith()).isEqualTo(row.from().paper());
  }

  @Test
  void a_credit_note_is_kept_with_what_it_is_for() {
    Paper paper = paper(PaperKind.SUPPLIER_CREDIT);
    assertThat(paper.rows())
        .singleElement()
        .satisfies(
            r -> {
              assertThat(r.wording()).isEqualTo("RS-1");
              assertThat(r.net()).isEqualTo(2000);
            });
    assertThat(paper.head().reference()).isEqualTo("OJ-1");
    assertThat(paper.sums()).extracting(Sum::words).startsWith("Without tax").hasSize(3);
  }

  @Test
  void a_charge_is_kept_with_what_each_bears() {
    assertThat(paper(PaperKind.CHARGE).rows())
        .singleElement()
        .satisfies(
            r -> {
              assertThat(r.item()).isEqualTo(HIVE);
              assertThat(r.net()).isEqualTo(2000);
            });
  }

  @Test
  void a_payment_is_kept_by_what_it_settles_and_not_by_lines() {
    Paper paper = paper(PaperKind.CUSTOMER_PAYMENT);
    assertThat(paper.rows()).isEmpty();
    assertThat(paper.total()).isEqualTo(2400);
    assertThat(paper.head().reference()).isEqualTo("PO 7");
  }
}
