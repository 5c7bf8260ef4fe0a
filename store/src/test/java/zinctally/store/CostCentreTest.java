package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import zinctally.core.papers.PaperKind;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;

/**
 * What is earned and what it cost is borne by the centre of its line, whenever its cost turns out.
 */
class CostCentreTest {
  private final FreshBook book = new FreshBook();

  @BeforeEach
  void twoCentres() {
    book.item("A", "FIFO");
    book.sql().sql("insert into place (name) values ('Shop')").update();
    book.sql().sql("insert into centre (name) values ('Markets'), ('Workshop')").update();
    book.sql()
        .sql(
            "update place set centre_id = (select id from centre where name = 'Markets') where name = 'Shop'")
        .update();
    book.bill("2026-02-01", "A", "100", "4.00");
  }

  @AfterEach
  void close() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    book.close();
  }

  private List<String> borne(String role) {
    return book.sql()
        .sql(
            """
            select concat(coalesce(c.name, 'none'), ' ', sum(l.amount)) from account a
            join journal_line l on l.account_id = a.id left join centre c on c.id = l.centre_id
            where a.role = ? group by l.centre_id having sum(l.amount) <> 0 order by 1
            """)
        .param(role)
        .query(String.class)
        .list();
  }

  private long sold(String place, String... cells) {
    return book.paper(
        PaperKind.INVOICE,
        "2026-03-01",
        Map.of("place", place),
        "item quantity price centre",
        cells);
  }

  private static final String[] TWO_LINES = {"A", "3", "10.00", "workshop", "A", "2", "10.00", ""};

  @Test
  void a_line_is_borne_by_the_centre_in_its_cell_else_by_that_of_the_place() {
    book.paper(
        PaperKind.TRANSFER, "2026-02-02", Map.of("into", "Shop"), "item quantity", "A", "50");
    sold("Shop", TWO_LINES);
    sold("Store", "A", "1", "10.00", "");
    assertThat(borne("SALES")).containsExactly("Markets -2000", "none -1000", "Workshop -3000");
    assertThat(borne("COST_OF_GOODS_SOLD"))
        .containsExactly("Markets 800", "none 400", "Workshop 1200");
  }

  @Test
  void a_group_bears_before_the_place_and_the_head_before_both() {
    book.sql()
        .sql(
            "update item_group set centre_id = (select id from centre where name = 'Workshop') where parent_id is null")
        .update();
    sold("Store", "A", "1", "10.00", "");
    book.paper(
        PaperKind.INVOICE,
        "2026-03-02",
        Map.of("centre", "Markets"),
        "item quantity price",
        "A",
        "2",
        "10.00");
    assertThat(borne("SALES")).containsExactly("Markets -2000", "Workshop -1000");
  }

  /** 100 at 4.00 turn out to have cost 4.50: 2.50 more for five sold, shared as they were sold. */
  @Test
  void a_late_charge_reaches_the_centres_that_sold_the_goods() {
    sold("Store", "A", "3", "10.00", "Workshop", "A", "2", "10.00", "Markets");
    book.paper(
        PaperKind.CHARGE,
        "2026-03-10",
        Map.of("what", "Freight", "amount", "50.00"),
        "bill",
        "B-2026-0001");
    assertThat(borne("COST_OF_GOODS_SOLD")).containsExactly("Markets 900", "Workshop 1350");
  }

  @Test
  void
      goods_sent_before_their_invoice_are_borne_by_the_invoices_line_also_when_their_cost_changes() {
    long delivery =
        book.paper(PaperKind.DELIVERY, "2026-03-01", Map.of(), "item quantity", "A", "4");
    book.paper(
        PaperKind.INVOICE,
        "2026-03-02",
        Map.of(),
        "of item quantity price centre",
        book.number(delivery),
        "A",
        "4",
        "10.00",
        "Workshop");
    book.paper(
        PaperKind.CHARGE,
        "2026-03-10",
        Map.of("what", "Freight", "amount", "50.00"),
        "bill",
        "B-2026-0001");
    assertThat(borne("COST_OF_GOODS_SOLD")).containsExactly("Workshop 1800");
  }

  @Test
  void
      lines_that_invoice_the_same_delivery_bear_each_its_share_of_a_late_charge_and_undone_leave_nothing() {
    long delivery =
        book.paper(PaperKind.DELIVERY, "2026-03-01", Map.of(), "item quantity", "A", "4");
    String of = book.number(delivery);
    long invoice =
        book.paper(
            PaperKind.INVOICE,
            "2026-03-02",
            Map.of(),
            "of item quantity price centre",
            new String[] {of, "A", "1", "10.00", "Workshop", of, "A", "3", "10.00", "Markets"});
    book.paper(
        PaperKind.CHARGE,
        "2026-03-10",
        Map.of("what", "Freight", "amount", "50.00"),
        "bill",
        "B-2026-0001");
    assertThat(borne("COST_OF_GOODS_SOLD")).containsExactly("Markets 1350", "Workshop 450");
    book.voidOn("2026-03-12", invoice);
    assertThat(borne("COST_OF_GOODS_SOLD")).isEmpty();
  }

  @Test
  void what_is_amended_or_voided_leaves_nothing_on_its_centre() {
    long sale = sold("Store", TWO_LINES);
    book.amend(
        sale,
        PaperKind.INVOICE,
        Map.of("customer", "Fenwick Garden", "date", "2026-03-01", "place", "Store"),
        List.of(Map.of("item", "A", "quantity", "3", "price", "10.00", "centre", "Markets")));
    assertThat(borne("SALES")).containsExactly("Markets -3000");
    assertThat(borne("COST_OF_GOODS_SOLD")).containsExactly("Markets 1200");
    book.voidOn("2026-03-05", sale);
    assertThat(borne("SALES")).isEmpty();
    assertThat(borne("COST_OF_GOODS_SOLD")).isEmpty();
  }

  @Test
  void what_is_lost_returned_or_written_by_hand_is_borne_too() {
    String sale = book.number(sold("Store", "A", "3", "10.00", "Workshop"));
    book.paper(
        PaperKind.CUSTOMER_RETURN,
        "2026-03-02",
        Map.of(),
        "paper item quantity centre",
        sale,
        "A",
        "1",
        "Workshop");
    book.paper(
        PaperKind.ADJUSTMENT,
        "2026-03-03",
        Map.of(),
        "item quantity reason centre",
        "A",
        "-2",
        "Breakage",
        "Markets");
    book.post(
        PaperKind.JOURNAL,
        Map.of("date", "2026-03-04"),
        List.of(
            Map.of("account", "6000", "debit", "70.00", "centre", "Markets"),
            Map.of("account", "1000", "credit", "70.00")));
    assertThat(borne("COST_OF_GOODS_SOLD")).containsExactly("Workshop 800");
    assertThat(borne("SALES_RETURNS")).containsExactly("Workshop 1000");
    assertThat(
            book.sql()
                .sql(
                    """
                    select concat(a.code, ' ', sum(l.amount)) from journal_line l
                    join account a on a.id = l.account_id join centre c on c.id = l.centre_id
                    where c.name = 'Markets' group by a.code order by a.code
                    """)
                .query(String.class)
                .list())
        .containsExactly("5210 800", "6000 7000");
  }

  @Test
  void a_paper_that_is_amended_keeps_its_centre_when_none_is_in_use_any_more() {
    long sale = sold("Store", "A", "3", "10.00", "Workshop");
    book.sql().sql("update centre set active = false").update();
    book.amend(
        sale,
        PaperKind.INVOICE,
        Map.of("customer", "Fenwick Garden", "date", "2026-03-01", "place", "Store"),
        List.of(Map.of("item", "A", "quantity", "2", "price", "10.00", "centre", "Workshop")));
    assertThat(borne("SALES")).containsExactly("Workshop -2000");
  }

  @Test
  void a_centre_that_is_not_there_is_refused() {
    assertThatThrownBy(() -> sold("Store", "A", "1", "10.00", "Moon"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("There is no cost centre \"Moon\"");
  }
}
