package zinctally.store.buy;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.units.Units;
import zinctally.store.book.BookStore;
import zinctally.store.listing.Ask;
import zinctally.store.listing.Listing;
import zinctally.store.listing.ListingStore;
import zinctally.store.listing.OrderListings;
import zinctally.store.paper.DraftStore;
import zinctally.store.sql.UnitColumns;

/** Orders: how far they are, and drafts of what should be ordered. */
@Repository
public class OrderStore {
  private final JdbcClient sql;
  private final ListingStore lists;
  private final DraftStore drafts;
  private final BookStore books;

  OrderStore(JdbcClient sql, ListingStore lists, DraftStore drafts, BookStore books) {
    this.books = books;
    this.sql = sql;
    this.lists = lists;
    this.drafts = drafts;
  }

  /**
   * @param state in words: open, part received, complete, cancelled; or waits for approval
   * @param expected null when not known
   */
  public record Head(
      String state,
      boolean approved,
      LocalDateTime approvedAt,
      String approvedBy,
      boolean ended,
      LocalDate expected,
      String notes) {}

  /** How far each line is, in the item's own words. */
  public record Line(
      int line,
      long item,
      String code,
      String name,
      String ordered,
      String received,
      String toCome,
      String billed,
      boolean over) {}

  public Optional<Head> head(long order) {
    return sql.sql(
            "select "
                + OrderListings.ORDER_STATE
                + """
                 as state, d.*, d.approved_at is not null or b.approver = ''
                  or not k.approved as approved
                from paper p join paper_kind k on k.kind = p.kind join order_head d on d.paper_id = p.id join book b on b.id = 1
                where p.id = ?""")
        .param(order)
        .query(
            (row, n) ->
                new Head(
                    row.getString("state"),
                    row.getBoolean("approved"),
                    row.getObject("approved_at", LocalDateTime.class),
                    row.getString("approved_by"),
                    row.getObject("ended_at") != null,
                    row.getObject("expected", LocalDate.class),
                    row.getString("notes")))
        .optional();
  }

  public List<Line> lines(long order) {
    return sql.sql(
            """
            select l.line, i.id, i.code, i.name, i.base_unit, i.pack_name, i.pack_size, l.quantity,
              coalesce(g.open_quantity, 0) as to_come, g.id is not null as goods,
              coalesce((select sum(f.quantity) from fulfilment f
                        where f.awaited_id = g.id and f.paper_id <> p.id), 0) as received,
              coalesce((select sum(f.quantity) from fulfilment f
                        where f.awaited_id = b.id and f.paper_id <> p.id), 0) as billed
            from paper p join paper_line l on l.paper_id = p.id and l.version = p.version
            join item i on i.id = l.item_id
            left join awaited g on g.paper_id = p.id and g.line = l.line
              and g.what in ('ORDERED_GOODS', 'PROMISED_GOODS', 'TO_BE_MADE', 'PROMISED_PARTS',
                'TO_BE_CONSIGNED')
            left join awaited b on b.paper_id = p.id and b.line = l.line and b.what in ('ORDERED_BILL', 'PROMISED_INVOICE')
            where p.id = ? order by l.line
            """)
        .param(order)
        .query(
            (row, n) -> {
              Units units = UnitColumns.units(row);
              boolean goods = row.getBoolean("goods");
              long toCome = row.getLong("to_come");
              return new Line(
                  row.getInt("line"),
                  row.getLong("id"),
                  row.getString("code"),
                  row.getString("name"),
                  units.say(new Quantity(row.getLong("quantity"))),
                  goods ? units.say(new Quantity(row.getLong("received"))) : "",
                  goods ? units.say(new Quantity(Math.max(0, toCome))) : "",
                  units.say(new Quantity(row.getLong("billed"))),
                  toCome < 0);
            })
        .list();
  }

  /** Papers that go on from an order, in the order in which they came. */
  public record Follower(
      long id, PaperKind kind, String number, LocalDate date, String reference) {}

  private static Follower follower(ResultSet row, int n) throws SQLException {
    return new Follower(
        row.getLong(1),
        PaperKind.valueOf(row.getString(2)),
        row.getString(3),
        row.getObject(4, LocalDate.class),
        row.getString(5));
  }

  /** Orders of customers, and invoices sent ahead, that wait for what a paper has brought. */
  public List<Follower> waitingFor(long paper) {
    return sql.sql(
            """
            select distinct p.id, p.kind, p.number, p.date, w.name as reference
            from cost_event e join awaited a on a.item_id = e.item_id and a.open_quantity > 0
              and (a.what = 'PROMISED_GOODS' or a.what = 'INVOICED_GOODS' and a.order_paper = 0)
            join paper p on p.id = a.paper_id and p.state = 'POSTED'
            join party w on w.id = p.party_id
            where e.paper_id = ? and e.kind = 'IN' and not e.gone order by p.date, p.id limit 20
            """)
        .param(paper)
        .query(OrderStore::follower)
        .list();
  }

  public List<Follower> followers(long paper) {
    return sql.sql(
            """
            select distinct p.id, p.kind, p.number, p.date, p.reference
            from awaited a join fulfilment f on f.awaited_id = a.id and f.paper_id <> a.paper_id
            join paper p on p.id = f.paper_id and p.state = 'POSTED'
            where a.paper_id = ? order by p.date, p.id limit 200
            """)
        .param(paper)
        .query(OrderStore::follower)
        .list();
  }

  /** Codes of items that stand in a draft of an order already. */
  private Set<String> drafted() {
    Set<String> codes = new TreeSet<>(String.CASE_INSENSITIVE_ORDER);
    for (Draft draft : drafts.open(PaperKind.PURCHASE_ORDER))
      draft.rows().forEach(row -> codes.add(row.getOrDefault("item", "").strip()));
    return codes;
  }

  /**
   * Begins one draft a supplier of all that the list of what to order shows of what is asked; items
   * that stand in such a draft already are left out.
   *
   * @return the drafts' ids
   */
  public List<Long> draftOrders(Ask ask, Map<String, String> fields, String login) {
    Set<String> drafted = drafted();
    Listing listing = OrderListings.toOrder(books.book().coin());
    Map<Long, Long> wanted = new LinkedHashMap<>();
    Map<Long, String> suppliers = new LinkedHashMap<>();
    lists.all(
        listing,
        ask.fromStart(),
        row -> {
          long item = number(row, "id");
          if (drafted.contains(String.valueOf(row.get("code")))) return;
          wanted.put(item, number(row, "suggested"));
          suppliers.put(item, row.get("supplier") == null ? "" : row.get("supplier").toString());
        });
    return draftOrders(wanted, suppliers, fields, login);
  }

  /**
   * Begins one draft a supplier of so much of items, from whom each usually comes; items that stand
   * in such a draft already are left out.
   *
   * @param wanted millionths by item
   * @return the drafts' ids
   */
  public List<Long> draftOrders(Map<Long, Long> wanted, Map<String, String> fields, String login) {
    if (wanted.isEmpty()) return List.of();
    Set<String> drafted = drafted();
    Map<Long, Long> left = new LinkedHashMap<>();
    Map<Long, String> suppliers = new LinkedHashMap<>();
    sql.sql("select id, code, supplier from item where id in (:ids)")
        .param("ids", wanted.keySet())
        .query(
            row -> {
              long item = row.getLong(1);
              if (drafted.contains(row.getString(2))) return;
              left.put(item, Objects.requireNonNull(wanted.get(item)));
              suppliers.put(item, row.getString(3));
            });
    return draftOrders(left, suppliers, fields, login);
  }

  private List<Long> draftOrders(
      Map<Long, Long> wanted,
      Map<Long, String> suppliers,
      Map<String, String> fields,
      String login) {
    if (wanted.isEmpty()) return List.of();
    Map<String, List<Map<String, String>>> bySupplier = new LinkedHashMap<>();
    sql.sql("select * from item where id in (:ids) order by code")
        .param("ids", wanted.keySet())
        .query(
            (row, n) -> {
              Units units = UnitColumns.units(row);
              long item = row.getLong("id");
              return bySupplier
                  .computeIfAbsent(
                      Objects.requireNonNull(suppliers.get(item)), s -> new ArrayList<>())
                  .add(
                      Map.of(
                          "item",
                          row.getString("code"),
                          "quantity",
                          units.typed(new Quantity(Objects.requireNonNull(wanted.get(item))))));
            })
        .list();
    List<Long> begun = new ArrayList<>();
    bySupplier.forEach(
        (supplier, rows) -> {
          Map<String, String> head = new LinkedHashMap<>(fields);
          head.put("supplier", supplier);
          begun.add(drafts.begin(new Draft(PaperKind.PURCHASE_ORDER, head, rows), login));
        });
    return begun;
  }

  private static long number(Map<String, Object> row, String column) {
    return ((Number) Objects.requireNonNull(row.get(column))).longValue();
  }
}
