package zinctally.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;
import zinctally.core.papers.flow.Awaits;
import zinctally.store.check.CheckStore;
import zinctally.store.check.Finding;
import zinctally.store.listing.Ask;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.ProveListings;
import zinctally.store.paper.PaperText;
import zinctally.store.prove.TieOutStore;
import zinctally.store.sell.TillStore;

/**
 * Whatever is bought and sold in whatever order: what waits for goods or for its paper is what its
 * account says on every day, and so it is when all is voided again.
 */
class RandomTradeTest {
  private static final List<PaperKind> BUYING =
      List.of(
          PaperKind.PURCHASE_ORDER,
          PaperKind.RECEIPT,
          PaperKind.RECEIPT,
          PaperKind.RECEIPT,
          PaperKind.BILL,
          PaperKind.BILL,
          PaperKind.BILL,
          PaperKind.SUPPLIER_RETURN,
          PaperKind.INVOICE);
  private static final List<PaperKind> SELLING =
      List.of(
          PaperKind.BILL,
          PaperKind.BILL,
          PaperKind.CHARGE,
          PaperKind.SALES_ORDER,
          PaperKind.DELIVERY,
          PaperKind.DELIVERY,
          PaperKind.DELIVERY,
          PaperKind.INVOICE,
          PaperKind.INVOICE,
          PaperKind.INVOICE,
          PaperKind.COUNTER_SALE,
          PaperKind.CUSTOMER_RETURN);
  private static final List<PaperKind> HANDLING =
      List.of(
          PaperKind.BILL,
          PaperKind.BILL,
          PaperKind.CHARGE,
          PaperKind.INVOICE,
          PaperKind.INVOICE,
          PaperKind.CUSTOMER_RETURN,
          PaperKind.TRANSFER,
          PaperKind.TRANSFER,
          PaperKind.ARRIVAL,
          PaperKind.ARRIVAL,
          PaperKind.STOCK_COUNT,
          PaperKind.STOCK_COUNT,
          PaperKind.ADJUSTMENT);
  private static final List<PaperKind> MAKING =
      List.of(
          PaperKind.BILL,
          PaperKind.BILL,
          PaperKind.CHARGE,
          PaperKind.INVOICE,
          PaperKind.CUSTOMER_RETURN,
          PaperKind.ADJUSTMENT,
          PaperKind.WORK_ORDER,
          PaperKind.ASSEMBLY,
          PaperKind.ASSEMBLY,
          PaperKind.ASSEMBLY,
          PaperKind.DISASSEMBLY,
          PaperKind.DISASSEMBLY);
  private static final List<PaperKind> MENDING =
      List.of(
          PaperKind.BILL,
          PaperKind.BILL,
          PaperKind.CHARGE,
          PaperKind.CHARGE,
          PaperKind.INVOICE,
          PaperKind.INVOICE,
          PaperKind.CUSTOMER_RETURN,
          PaperKind.TRANSFER,
          PaperKind.REPAIR_OUT,
          PaperKind.REPAIR_OUT,
          PaperKind.REPAIR_BACK,
          PaperKind.REPAIR_BACK,
          PaperKind.REPAIR_BACK,
          PaperKind.TAKEN_IN,
          PaperKind.GIVEN_BACK,
          PaperKind.ADJUSTMENT);
  private static final List<PaperKind> CONSIGNING =
      List.of(
          PaperKind.BILL,
          PaperKind.CHARGE,
          PaperKind.INVOICE,
          PaperKind.INVOICE,
          PaperKind.INVOICE,
          PaperKind.DELIVERY,
          PaperKind.DELIVERY,
          PaperKind.COUNTER_SALE,
          PaperKind.CUSTOMER_RETURN,
          PaperKind.TRANSFER,
          PaperKind.ADJUSTMENT,
          PaperKind.STOCK_COUNT,
          PaperKind.CONSIGNMENT_IN,
          PaperKind.CONSIGNMENT_IN,
          PaperKind.CONSIGNMENT_IN,
          PaperKind.CONSIGNMENT_BACK,
          PaperKind.SETTLEMENT,
          PaperKind.SETTLEMENT,
          PaperKind.CONSIGNMENT_OUT,
          PaperKind.HANDED_OVER,
          PaperKind.AGREEMENT);
  private FreshBook book;
  private Random dice;

  @ParameterizedTest
  @ValueSource(strings = {"buying", "selling", "handling", "making", "mending", "consigning"})
  void random_trade_in_any_order_ties_out_at_every_date(String way) {
    try (FreshBook own = new FreshBook()) {
      book = own;
      dice = new Random(20261123);
      own.get(TillStore.class).open("Store", 0, "tester");
      own.sql().sql("insert into place (name) values ('Van')").update();
      List<PaperKind> kinds =
          switch (way) {
            case "buying" -> BUYING;
            case "selling" -> SELLING;
            case "making" -> MAKING;
            case "mending" -> MENDING;
            case "consigning" -> CONSIGNING;
            default -> HANDLING;
          };
      for (int i = 0; i < 4; i++) own.item("R" + i, i % 2 == 0 ? "FIFO" : "AVERAGE");
      List<Long> posted = new ArrayList<>();
      if (kinds != BUYING)
        for (int i = 0; i < 4; i++) posted.add(own.bill("2026-01-15", "R" + i, "60", "3.33"));
      if (kinds == CONSIGNING) agreements();
      for (int n = 0; n < 170; n++) {
        try {
          posted.add(anything(kinds.get(dice.nextInt(kinds.size()))));
        } catch (Refused asked) {
          continue;
        }
        if (kinds == CONSIGNING && dice.nextInt(3) == 0) amended(posted.get(posted.size() - 1));
        if (dice.nextInt(8) == 0) voided(posted.get(dice.nextInt(posted.size())));
      }
      assertThat(posted.size()).isGreaterThan(90);
      tiesOut();
      for (int i = posted.size() - 1; i >= 0; i--) voided(posted.get(i));
      tiesOut();
    }
  }

  /** One keeper has a cost for some and a share of the others, another a share of everything. */
  private void agreements() {
    book.sql()
        .sql(
            "insert into item_price (item_id, list_id, price) select i.id, min(l.id), 9 from item i"
                + " join price_list l group by i.id")
        .update();
    book.paper(
        PaperKind.AGREEMENT,
        "2026-01-10",
        Map.of("supplier", "Hana Keeper"),
        "item cost share",
        "R0",
        "2.50",
        "",
        "R2",
        "3",
        "",
        "",
        "",
        "40");
    book.paper(
        PaperKind.AGREEMENT,
        "2026-01-10",
        Map.of("supplier", "Orla Reed", "losses", "theirs", "discounts", "theirs"),
        "item share least",
        "",
        "30",
        "0.50");
  }

  /** Gives the lines of an invoice another quantity and price, if nothing goes on from it. */
  private void amended(long paper) {
    PaperText texts = book.get(PaperText.class);
    record Head(String kind, int version) {}
    Head head =
        book.sql()
            .sql("select kind, version from paper where id = ?")
            .param(paper)
            .query((row, n) -> new Head(row.getString(1), row.getInt(2)))
            .single();
    if (!head.kind.equals("INVOICE")) return;
    Draft draft = texts.read(paper, head.version, PaperKind.INVOICE);
    List<Map<String, String>> rows = new ArrayList<>();
    for (Map<String, String> row : draft.rows()) {
      Map<String, String> other = new HashMap<>(row);
      other.put("price", "%d.%02d".formatted(1 + dice.nextInt(6), dice.nextInt(100)));
      other.put("discount", dice.nextBoolean() ? "10" : "");
      if (dice.nextBoolean()) other.put("quantity", String.valueOf(1 + dice.nextInt(9)));
      rows.add(other);
    }
    try {
      book.amend(paper, PaperKind.INVOICE, draft.fields(), rows);
    } catch (Refused refused) {
      assertThat(refused.faults()).isNotEmpty();
    }
  }

  /** Voids a paper if it can be; one that is void, or that others go on from, stays. */
  private void voided(long paper) {
    try {
      book.voidOn(date(paper), paper);
    } catch (Refused inUse) {
      assertThat(inUse.faults()).isNotEmpty();
    }
  }

  private String date(long paper) {
    return book.sql()
        .sql("select date from paper where id = ?")
        .param(paper)
        .query(String.class)
        .single();
  }

  private void tiesOut() {
    assertThat(book.get(CheckStore.class).findings()).allMatch(Finding::holds);
    TieOutStore tieOut = book.get(TieOutStore.class);
    for (LocalDate day = LocalDate.of(2026, 2, 1);
        day.isBefore(LocalDate.of(2026, 7, 1));
        day = day.plusDays(1)) {
      assertThat(tieOut.controls(day)).allMatch(TieOutStore.Control::agrees);
      assertThat(tieOut.byGroup(day)).allMatch(group -> group.apart() == 0);
      for (Awaits what :
          List.of(
              Awaits.RECEIVED_BILL,
              Awaits.BILLED_GOODS,
              Awaits.SENT_INVOICE,
              Awaits.INVOICED_GOODS,
              Awaits.CONSIGNED_SOLD)) {
        long[] sum = {0};
        book.get(ListingStore.class)
            .all(
                ProveListings.awaited(what, day),
                Ask.ALL,
                row -> sum[0] += ((Number) row.get("value")).longValue());
        assertThat(tieOut.controls(day))
            .anyMatch(
                c ->
                    c.role().equals(what.role().name())
                        && Math.abs(c.counted()) == Math.abs(sum[0]));
      }
    }
  }

  /** Some paper; what is only asked about is answered with yes. */
  private long anything(PaperKind kind) {
    String item = "R" + dice.nextInt(4);
    boolean selling = kind.isWith(Party.Kind.CUSTOMER);
    Map<String, String> more = new HashMap<>();
    Map<String, String> row = new HashMap<>();
    Map<String, String> work = new HashMap<>();
    row.put("item", item);
    row.put("quantity", String.valueOf(1 + dice.nextInt(12)));
    row.put("price", "%d.%02d".formatted(1 + dice.nextInt(6), dice.nextInt(100)));
    String goods =
        any(
            item,
            selling ? "'PROMISED_GOODS', 'INVOICED_GOODS'" : "'ORDERED_GOODS', 'BILLED_GOODS'");
    String papers =
        any(
            item,
            selling ? "'PROMISED_INVOICE', 'SENT_INVOICE'" : "'ORDERED_BILL', 'RECEIVED_BILL'");
    switch (kind) {
      case RECEIPT, DELIVERY -> row.put("of", goods);
      case BILL, INVOICE -> {
        row.put("of", papers);
        if (dice.nextInt(3) == 0) more.put("goods", "later");
      }
      case SUPPLIER_RETURN -> {
        row.put("paper", dice.nextBoolean() ? papers : goods);
        row.put("quantity", "1");
      }
      case CUSTOMER_RETURN -> {
        row.put("paper", sold(item));
        row.put("quantity", "1");
      }
      case COUNTER_SALE -> more.putAll(Map.of("cash", "500", "credit", credit()));
      case CHARGE -> {
        row.clear();
        row.put("bill", bill());
        more.putAll(Map.of("what", "Freight", "amount", "%d.%02d".formatted(dice.nextInt(4), 37)));
      }
      case TRANSFER -> {
        more.putAll(Map.of("into", "Van", "sent", dice.nextBoolean() ? "yes" : ""));
        more.put("standing", List.of("", "Good", "Damaged", "On hold").get(dice.nextInt(4)));
      }
      case REPAIR_OUT -> more.put("repairer", dice.nextBoolean() ? "Ferris Motors" : "");
      case REPAIR_BACK -> {
        more.putAll(Map.of("into", "Store", "repair", any(item, "'IN_REPAIR'")));
        row.put("quantity", String.valueOf(1 + dice.nextInt(3)));
        if (dice.nextInt(4) == 0) row.put("reason", "Breakage");
        else if (dice.nextInt(3) > 0) {
          more.putAll(Map.of("cost", "goods", "account", "6100"));
          row.put("charge", "%d.%02d".formatted(dice.nextInt(9), dice.nextInt(100)));
        }
      }
      case GIVEN_BACK -> row.put("quantity", String.valueOf(1 + dice.nextInt(3)));
      case ARRIVAL -> {
        more.putAll(Map.of("into", "Van", "transfer", any(item, "'ON_THE_WAY'")));
        row.put("reason", dice.nextInt(3) == 0 ? "Breakage" : "");
      }
      case SETTLEMENT -> {
        row.put("quantity", String.valueOf(dice.nextInt(4)));
        row.put("amount", dice.nextBoolean() ? "" : row.get("price"));
      }
      case AGREEMENT -> row.put(dice.nextBoolean() ? "cost" : "share", "2.25");
      case ADJUSTMENT ->
          row.putAll(Map.of("reason", "Breakage", "quantity", String.valueOf(dice.nextInt(9) - 6)));
      case WORK_ORDER -> more.putAll(Map.of("item", "R" + dice.nextInt(4), "quantity", "3"));
      case ASSEMBLY, DISASSEMBLY -> {
        String made = "R" + dice.nextInt(4);
        more.putAll(Map.of("item", made, "quantity", "2", "sharing", "quantity"));
        more.put("work_order", any(made, "'TO_BE_MADE'"));
        work.putAll(Map.of("item", "6100", "amount", "0.%02d".formatted(1 + dice.nextInt(99))));
      }
      case STOCK_COUNT -> {
        row.put("expected", String.valueOf(dice.nextInt(20)));
        row.put("counted", String.valueOf(dice.nextInt(20)));
      }
      default -> {}
    }
    String place = kind == PaperKind.INVOICE && dice.nextInt(3) == 0 ? "Van" : "Store";
    if (kind == PaperKind.REPAIR_OUT && dice.nextInt(3) == 0) place = "Store, of Fenwick Garden";
    if (kind == PaperKind.TRANSFER && dice.nextInt(4) == 0) place = "Van, damaged";
    String owner = dice.nextBoolean() ? "Hana Keeper" : "Orla Reed";
    boolean consigning =
        book.sql().sql("select count(*) from agreement_line").query(Long.class).single() > 0;
    if (consigning) {
      place =
          List.of("Store", "Store", "Store", "Store, of " + owner, "At Fenwick Garden")
              .get(dice.nextInt(5));
      more.put("stay", dice.nextInt(5) == 0 ? "here" : "");
    }
    boolean theirs =
        List.of("AGREEMENT", "CONSIGNMENT_IN", "CONSIGNMENT_BACK", "SETTLEMENT")
            .contains(kind.name());
    if (theirs) {
      place = "Store";
      row.remove("price");
    }
    more.put("date", LocalDate.of(2026, 2, 1).plusDays(dice.nextInt(120)).toString());
    more.put("supplier", theirs ? owner : "Orrin Joinery");
    more.put("customer", "Fenwick Garden");
    more.put("place", place);
    return book.postAgreed(kind, more, List.of(row, work));
  }

  private String bill() {
    List<String> numbers =
        book.sql()
            .sql(
                "select number from paper where kind in ('BILL', 'REPAIR_BACK')"
                    + " and state = 'POSTED' order by id")
            .query(String.class)
            .list();
    return numbers.get(dice.nextInt(numbers.size()));
  }

  /** The number of a credit that is open, or none. */
  private String credit() {
    return book.sql()
        .sql(
            "select o.number from open_item o join paper p on p.id = o.paper_id"
                + " where o.open < 0 and p.kind = 'CUSTOMER_RETURN' order by o.id limit 1")
        .query(String.class)
        .optional()
        .orElse("");
  }

  private String sold(String item) {
    List<String> numbers =
        book.sql()
            .sql(
                "select p.number from paper p join paper_line l on l.paper_id = p.id"
                    + " join item i on i.id = l.item_id where p.kind in ('INVOICE', 'COUNTER_SALE', 'DELIVERY')"
                    + " and p.state = 'POSTED' and i.code = ? order by p.id")
            .param(item)
            .query(String.class)
            .list();
    return numbers.isEmpty() ? "" : numbers.get(dice.nextInt(numbers.size()));
  }

  /** A paper with a line of the item that waits for something, or none. */
  private String any(String item, String what) {
    List<String> numbers =
        book.sql()
            .sql(
                "select p.number from awaited a join paper p on p.id = a.paper_id"
                    + " join item i on i.id = a.item_id where p.state = 'POSTED'"
                    + " and a.open_quantity > 0 and i.code = ? and a.what in ("
                    + what
                    + ") order by a.id")
            .param(item)
            .query(String.class)
            .list();
    return numbers.isEmpty() || dice.nextInt(5) == 0
        ? ""
        : numbers.get(dice.nextInt(numbers.size()));
  }
}
