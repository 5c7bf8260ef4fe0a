package zinctally.demo;

import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import zinctally.core.number.Coin;
import zinctally.core.papers.Allowed;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.store.book.BookStore;
import zinctally.store.goods.GroupStore;
import zinctally.store.opening.OpeningStore;
import zinctally.store.opening.SheetReader;
import zinctally.store.paper.DraftStore;
import zinctally.store.people.PeopleStore;
import zinctally.store.people.Person;
import zinctally.store.people.RoleMay;
import zinctally.store.posting.Posting;
import zinctally.store.setup.PlaceStore;

/** Makes the demo book, its people and what it opens with. */
@Component
class DemoOpening {
  static final LocalDate CUT_OVER = LocalDate.of(2025, 9, 1);
  private final BookStore books;
  private final PeopleStore people;
  private final RoleMay roles;
  private final PasswordEncoder hashing;
  private final PlaceStore places;
  private final GroupStore groups;
  private final OpeningStore opening;
  private final DraftStore drafts;
  private final Posting posting;
  private final JdbcClient sql;

  DemoOpening(
      BookStore books,
      PeopleStore people,
      RoleMay roles,
      PasswordEncoder hashing,
      PlaceStore places,
      GroupStore groups,
      OpeningStore opening,
      DraftStore drafts,
      Posting posting,
      JdbcClient sql) {
    this.books = books;
    this.people = people;
    this.roles = roles;
    this.hashing = hashing;
    this.places = places;
    this.groups = groups;
    this.opening = opening;
    this.drafts = drafts;
    this.posting = posting;
    this.sql = sql;
  }

  void write() throws IOException {
    setUp();
    open();
    people();
  }

  private void people() {
    String hash = Objects.requireNonNull(hashing.encode("wickmere"));
    people.add("owner", "Ida Wickmere", hash, Person.Role.OWNER);
    people.add("bookkeeper", "Maren Holt", hash, Person.Role.BOOKKEEPER);
    people.add("counter", "Tobin Ash", hash, Person.Role.COUNTER);
    people.add("reader", "Sela Brandt", hash, Person.Role.READER);
    roles.give(
        Person.Role.COUNTER,
        new RoleMay.Given(false, false, new Allowed(false, BigDecimal.TEN, false, false), false),
        "owner");
    sql.sql(
            """
            update app_user set initials = case login when 'owner' then 'IW'
              when 'bookkeeper' then 'MH' when 'counter' then 'TA' end
            """)
        .update();
  }

  private void looks() {
    sql.sql("update paper_look set header = ?, footer = ? where id = 1")
        .params(
            "Telephone 0555 204 118, yard at wickmere dot example",
            "Goods stay ours until they are paid. Opened hives and used wax do not come back.")
        .update();
  }

  private void setUp() {
    looks();
    books.save("Wickmere Bee Yard", Coin.of("EUR"), CUT_OVER, false, false);
    books.letterhead(
        "Hurdle Lane 4\n20415 Wickmere",
        "WM 204 118 77",
        "Wickmere Savings Bank, account 2044 7188");
    place(1, "Barn store", Place.Kind.STORE);
    place(0, "Shop", Place.Kind.STORE);
    place(0, "Market van", Place.Kind.VAN);
    long top = groups.tree().top().id();
    for (String name :
        List.of(
            "Hives and boxes",
            "Frames and foundation",
            "Tools and smokers",
            "Extractors",
            "Treatments",
            "Jars and labels")) groups.add(new GroupStore.Group(0, top, name, null, 0, 0, 0));
    groups.add(
        new GroupStore.Group(0, top, "Honey and wax", zinctally.core.cost.Method.AVERAGE, 0, 0, 0));
  }

  private void place(long id, String name, Place.Kind kind) {
    places.save(new PlaceStore.Row(id, name, kind, "", true, true));
  }

  private void post(PaperKind kind, List<Map<String, String>> rows) {
    Yes.post(posting, drafts, new Draft(kind, Map.of(), rows), DemoPapers.LOGIN);
  }

  private static byte[] file(String name) throws IOException {
    try (InputStream in = DemoBook.class.getResourceAsStream("/demo/" + name)) {
      return in.readAllBytes();
    }
  }

  private void open() throws IOException {
    try {
      for (List<String> line :
          SheetReader.file("opening-targets.csv", file("opening-targets.csv")).rows()) {
        long group = groups.tree().named(line.get(0)).orElseThrow().id();
        opening.target(
            "group:" + group, Optional.of(Coin.of("EUR").minor(new BigDecimal(line.get(1)))));
      }
      opening.target("PAYABLES", Optional.of(214360L));
      opening.target("RECEIVABLES", Optional.of(118450L));
      Draft stock =
          SheetReader.file("opening-stock.csv", file("opening-stock.csv"))
              .asOpeningStock("Barn store");
      posting.post(drafts.begin(stock, DemoPapers.LOGIN), DemoPapers.LOGIN);
    } catch (SheetReader.Unreadable broken) {
      throw new IllegalStateException(broken);
    }
    sql.sql(
            "update item set pack_name = 'cs', pack_size = 50000000 where code in ('FRD-01', 'FRS-01')")
        .update();
    sql.sql("update item set pack_name = 'tray', pack_size = 24000000 where code like 'JAR-%'")
        .update();
    sql.sql(
            """
            update item set supplier = case left(code, 3)
                when 'JAR' then 'Calder Glass' when 'LBL' then 'Tamsin Print'
                when 'WAX' then 'Pell Wax' when 'FND' then 'Pell Wax' when 'FNS' then 'Pell Wax'
                when 'EXT' then 'Brenn Metalwork' when 'EXH' then 'Brenn Metalwork'
                when 'STL' then 'Brenn Metalwork' when 'SMK' then 'Brenn Metalwork'
                when 'MTS' then 'Ansel Apiary Health' when 'OXA' then 'Ansel Apiary Health'
                when 'THY' then 'Ansel Apiary Health' else 'Orrin Joinery' end,
              reorder_point = greatest(2, floor((select on_hand from cost_pool where item_id = item.id) / 2500000)) * 1000000,
              reorder_quantity = greatest(4, floor((select on_hand from cost_pool where item_id = item.id) / 2000000)) * 1000000
            """)
        .update();
    sql.sql(
            "insert into item_price (item_id, list_id, price) select item_id, 2, round(price * 0.85, 2) from item_price where list_id = 1")
        .update();
    post(
        PaperKind.OPENING_PARTIES,
        List.of(
            open("bill", "Orrin Joinery", "OJ-1988", "2025-08-12", "2025-09-11", "1268.40"),
            open("bill", "Calder Glass", "44071", "2025-08-20", "2025-09-19", "875.20"),
            open("invoice", "Fenwick Garden", "IN-774", "2025-08-18", "2025-09-17", "742.00"),
            open("invoice", "Hollin Orchard", "IN-779", "2025-08-27", "2025-09-26", "442.50")));
    String clearing = Coin.of("EUR").plain(Math.abs(opening.clearing()));
    BigDecimal money = new BigDecimal("9420.55");
    BigDecimal cash = new BigDecimal("310.00");
    BigDecimal equipment = new BigDecimal("6850.00");
    BigDecimal loan = new BigDecimal("5000.00");
    BigDecimal capital =
        new BigDecimal(clearing).add(money).add(cash).add(equipment).subtract(loan);
    post(
        PaperKind.OPENING_BALANCES,
        List.of(
            Map.of("account", "1000", "debit", money.toPlainString()),
            Map.of("account", "1010", "debit", cash.toPlainString()),
            Map.of("account", "1600", "debit", equipment.toPlainString()),
            Map.of("account", "2500", "credit", loan.toPlainString()),
            Map.of("account", "3000", "credit", capital.toPlainString())));
  }

  private static Map<String, String> open(
      String side, String party, String number, String date, String due, String amount) {
    return Map.of(
        "side", side, "party", party, "number", number, "date", date, "due", due, "amount", amount);
  }
}
