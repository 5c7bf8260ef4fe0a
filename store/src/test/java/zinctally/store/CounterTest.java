package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zinctally.core.papers.PaperKind;
import zinctally.store.sell.TillClosing;
import zinctally.store.sell.TillStore;

/** How sales over the counter are paid, and tills. One piece costs 4.00 and sells at 9.00. */
class CounterTest extends OneBookTest {
  @BeforeAll
  static void goods() {
    book.item("SOLD", "FIFO");
    book.bill("2026-05-01", "SOLD", "200", "4.00");
    book.get(TillStore.class).open("Store", 0, "tester");
  }

  /** Sells pieces at 9.00, paid as the field and value pairs say. */
  private static long sell(String quantity, String... paid) {
    Map<String, String> fields = new HashMap<>(Map.of("customer", ""));
    for (int i = 0; i < paid.length; i += 2) fields.put(paid[i], paid[i + 1]);
    return book.paper(
        PaperKind.COUNTER_SALE,
        "2026-05-02",
        fields,
        "item quantity price",
        "SOLD",
        quantity,
        "9.00");
  }

  /** Takes pieces of a sale back for credit; the number of the credit. */
  private static String back(long sale, String quantity, String customer) {
    return book.number(
        book.paper(
            PaperKind.CUSTOMER_RETURN,
            "2026-05-02",
            Map.of("customer", customer),
            "paper item quantity",
            book.number(sale),
            "SOLD",
            quantity));
  }

  private static long of(long paper, String role) {
    return book.sql()
        .sql(
            """
            select coalesce(sum(l.amount), 0) from journal j
            join journal_line l on l.journal_id = j.id join account a on a.id = l.account_id
            where j.paper_id = ? and a.role = ?
            """)
        .params(paper, role)
        .query(Long.class)
        .single();
  }

  private static long open(String number) {
    return book.sql()
        .sql("select sum(open) from open_item where number = ?")
        .param(number)
        .query(Long.class)
        .single();
  }

  @Test
  void credit_pays_as_much_as_is_left_to_pay_and_what_it_does_not_pay_stays_open() {
    long first = sell("3", "cash", "27");
    String credit = back(first, "2", "Over the counter");
    long second = sell("1", "credit", credit);
    assertThat(of(second, "RECEIVABLES")).isEqualTo(900);
    assertThat(open(credit)).isEqualTo(-900);
    long third = sell("2", "credit", credit, "card", "5", "cash", "10");
    assertThat(of(third, "RECEIVABLES")).isEqualTo(900);
    assertThat(open(credit)).isZero();
    assertThatThrownBy(() -> sell("1", "credit", credit))
        .hasMessageContaining("No credit \"" + credit + "\" is open over the counter");
  }

  @Test
  void voiding_a_sale_gives_the_credit_back_that_paid_for_it() {
    String credit = back(sell("1", "cash", "9"), "1", "Over the counter");
    long sale = sell("1", "credit", credit);
    assertThat(open(credit)).isZero();
    book.voidOn("2026-05-03", sale);
    assertThat(open(credit)).isEqualTo(-900);
    assertThat(of(sale, "RECEIVABLES")).isZero();
  }

  @Test
  void credit_in_a_name_pays_for_sales_in_that_name_only() {
    String credit = back(sell("1", "cash", "9", "customer", "Perrin Vale"), "1", "Perrin Vale");
    assertThatThrownBy(() -> sell("1", "credit", credit))
        .hasMessageContaining("credit in a name needs the name above");
    assertThatThrownBy(() -> sell("1", "credit", credit, "customer", "Larch Cottage"))
        .hasMessageContaining("Larch Cottage has no open credit \"" + credit + "\"");
    sell("1", "credit", credit, "customer", "Perrin Vale");
    assertThat(open(credit)).isZero();
  }

  @Test
  void two_counters_use_one_credit_once() throws Exception {
    String credit = back(sell("1", "cash", "9"), "1", "Over the counter");
    Callable<String> counter =
        () -> {
          try {
            return book.number(sell("1", "credit", credit));
          } catch (Refused refused) {
            return refused.getMessage();
          }
        };
    ExecutorService counters = Executors.newFixedThreadPool(2);
    List<Future<String>> came = counters.invokeAll(List.of(counter, counter));
    counters.shutdown();
    assertThat(List.of(came.get(0).get(), came.get(1).get()))
        .anyMatch(c -> c.startsWith("CS-"))
        .anyMatch(c -> c.contains("settled in the meantime") || c.contains("No credit"));
    assertThat(open(credit)).isZero();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          cash    | 8     |          |     |       |    | 1.00 is missing
          card    | 9.01  |          |     |       |    | change is given on cash only
          voucher | 5     | card     | 6   |       |    | 11.00 would be paid of 9.00
          account | 9     |          |     |       |    | What is not paid at once needs a name
          account | 9     | customer | Ivo | times | 121 | between 1 and 120 parts
          account | 9     | customer | Ivo | each  | 0  | between 1 and 120 parts
          cash    | 9     | seller   | QQ  |       |    | Nobody here has the initials "QQ"
          off     | 101%  |          |     |       |    | Between 0 and 100 %
          credit  | none  | cash     | 9   |       |    | No credit "none" is open
          """)
  void what_is_not_paid_rightly_is_said_and_nothing_is_sold(
      String field,
      String value,
      String more,
      String other,
      String third,
      String last,
      String says) {
    long sales = sales();
    Map<String, String> paid = new HashMap<>(Map.of(field, value));
    if (more != null) paid.put(more, other);
    if (third != null) {
      paid.put(third, last);
      paid.put("every", "month");
    }
    String[] pairs =
        paid.entrySet().stream()
            .flatMap(e -> List.of(e.getKey(), e.getValue()).stream())
            .toArray(String[]::new);
    assertThatThrownBy(() -> sell("1", pairs))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(says);
    assertThat(sales()).isEqualTo(sales);
  }

  private static long sales() {
    return book.sql()
        .sql("select count(*) from paper where kind = 'COUNTER_SALE'")
        .query(Long.class)
        .single();
  }

  /**
   * 100.00 at first, sales of 9.00 in cash of 20.00 and by card, and 9.00 paid back: 100.00 should
   * lie there. 99.40 is counted: 0.60 stands on the account for till differences.
   */
  @Test
  void a_till_holds_its_float_and_the_cash_of_its_sales_less_what_was_paid_back() {
    TillStore tills = book.get(TillStore.class);
    emptied(tills);
    long till = tills.open("Store", 10000, "tester");
    long sale = sell("1", "cash", "20");
    sell("1", "card", "9");
    book.paper(
        PaperKind.CUSTOMER_RETURN,
        "2026-05-02",
        Map.of("customer", "Over the counter", "back", "1010"),
        "paper item quantity",
        book.number(sale),
        "SOLD",
        "1");
    assertThat(tills.of("tester").orElseThrow().expected()).isEqualTo(10000);
    assertThat(book.get(TillClosing.class).close(till, 9940, "tester")).isEqualTo(-60);
    assertThat(
            book.sql()
                .sql(
                    """
                    select sum(l.amount) from till t join journal j on j.paper_id = t.paper_id
                    join journal_line l on l.journal_id = j.id
                    join tender g on g.kind = 'GAP' and g.account_id = l.account_id where t.id = ?
                    """)
                .param(till)
                .query(Long.class)
                .single())
        .isEqualTo(60);
    assertThatThrownBy(() -> book.get(TillClosing.class).close(till, 9940, "tester"))
        .hasMessageContaining("is closed");
    assertThatThrownBy(() -> sell("1", "cash", "9"))
        .hasMessageContaining("No till is open at Store");
    tills.open("Store", 0, "tester");
  }

  /** Closes the till that is open with what should be in it. */
  private static void emptied(TillStore tills) {
    TillStore.Till open = tills.of("tester").orElseThrow();
    book.get(TillClosing.class).close(open.id(), open.expected(), "tester");
  }

  @Test
  void a_till_whose_difference_cannot_be_booked_stays_open() {
    try (FreshBook other = new FreshBook()) {
      TillStore tills = other.get(TillStore.class);
      long till = tills.open("Store", 5000, "tester");
      other
          .sql()
          .sql(
              "update account set active = false"
                  + " where id = (select account_id from tender where kind = 'GAP')")
          .update();
      assertThatThrownBy(() -> other.get(TillClosing.class).close(till, 4000, "tester"))
          .isInstanceOf(Refused.class)
          .hasMessageContaining("switched off");
      assertThat(tills.of("tester").orElseThrow().id()).isEqualTo(till);
      assertThat(other.get(TillClosing.class).close(till, 5000, "tester")).isZero();
    }
  }
}
