package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.Listing.Column;

/** What happened to goods between buying and selling. */
public final class HandleListings {
  private HandleListings() {}

  /** Every line of papers of some kinds, each with columns of its own. */
  private static Listing lines(String name, List<Column> own, String empty, PaperKind... kinds) {
    return new Listing(
            name,
            """
            paper p straight_join paper_line n on n.paper_id = p.id and n.version = p.version
            straight_join item i on i.id = n.item_id left join place l on l.id = n.place_id
            where p.kind in (:kinds)""",
            Map.of(),
            Stream.of(
                    List.of(
                        new Column("id", "", "p.id", HIDDEN),
                        new Column("item_id", "", "i.id", HIDDEN),
                        new Column("date", "Date", "p.date", DATE),
                        new Column("number", "Number", "p.number", TEXT, Papers.PAPER),
                        new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
                        new Column("item", "Item", "i.name", TEXT, Papers.ITEM)),
                    own,
                    List.of(Papers.state(), new Column("who", "Posted by", "p.posted_by", TEXT)))
                .flatMap(List::stream)
                .toList(),
            "concat(lpad(p.id, 12, '0'), '.', lpad(n.line, 8, '0'))",
            "-date",
            empty)
        .of(kinds);
  }

  /** Every line of an adjustment: what was found or is gone, why, and what it was worth. */
  public static Listing adjustments() {
    return upAndDown(
        "Adjustments",
        new Words("Reason", "Found", "Gone"),
        "No adjustment yet. Press n, then a, when jars break or are found.",
        PaperKind.ADJUSTMENT);
  }

  /** Every line of a stock count that was apart from the book, and what that was worth. */
  public static Listing counted() {
    return upAndDown(
        "Count differences",
        new Words("Counted", "Found", "Gone"),
        "No count that differed is posted yet. A count sheet drafts the paper.",
        PaperKind.STOCK_COUNT);
  }

  /** What was made, and each component with what it cost. */
  public static Listing assemblies() {
    return upAndDown(
        "Assemblies",
        new Words("Note", "Made", "Went in"),
        "Nothing made yet. Press n, then u, when goods are made of other goods.",
        PaperKind.ASSEMBLY);
  }

  /** What was taken apart, and each part with what it bears. */
  public static Listing disassemblies() {
    return upAndDown(
        "Disassemblies",
        new Words("Note", "Came out", "Taken apart"),
        "Nothing taken apart yet.",
        PaperKind.DISASSEMBLY);
  }

  /** What the columns are called. */
  private record Words(String why, String up, String down) {}

  private static Listing upAndDown(String name, Words words, String empty, PaperKind kind) {
    return lines(
        name,
        List.of(
            new Column("place", "At", "l.name", TEXT),
            new Column("reason", words.why, "n.wording", TEXT),
            new Column("up", words.up, "if(n.quantity > 0, n.quantity, null)", QUANTITY),
            new Column("down", words.down, "if(n.quantity < 0, -n.quantity, null)", QUANTITY),
            new Column(
                "value",
                "Value",
                """
                (select nullif(sum(e.booked), 0) from cost_event e
                 where e.paper_id = p.id and e.line = n.line and not e.gone)""",
                MONEY,
                Papers.PAPER)),
        empty,
        kind);
  }

  /** Every line of a transfer: what went from where to where. */
  public static Listing transfers() {
    return lines(
        "Transfers",
        List.of(
            new Column(
                "from", "From", "(select f.name from place f where f.id = p.place_id)", TEXT),
            new Column("into", "Into", "l.name", TEXT),
            new Column("quantity", "Quantity", "n.quantity", QUANTITY),
            new Column("note", "Note", "n.wording", TEXT)),
        "No transfer yet. Press n, then v, when goods go from one place to another.",
        PaperKind.TRANSFER);
  }

  /** What came of goods that were sent, and what was lost of them. */
  public static Listing arrivals() {
    return upAndDown(
        "Arrivals",
        new Words("Note", "Came", "Lost"),
        "No arrival yet. A transfer whose goods are there when they are received offers it.",
        PaperKind.ARRIVAL);
  }

  /** What came back from repair, what mending added to its cost, and what is scrap. */
  public static Listing mended() {
    return upAndDown(
        "Back from repair",
        new Words("Note", "Back", "Scrap"),
        "Nothing has come back from repair yet.",
        PaperKind.REPAIR_BACK);
  }

  /** Customers' own goods, taken in and given back. */
  public static Listing customersGoods() {
    return lines(
        "Taken in and given back",
        List.of(
            Papers.what(),
            new Column(
                "customer",
                "Customer",
                "(select w.name from party w where w.id = p.party_id)",
                TEXT),
            new Column("quantity", "Quantity", "n.quantity", QUANTITY),
            new Column("note", "Note", "n.wording", TEXT)),
        "No customer's goods were taken in to be mended yet.",
        PaperKind.TAKEN_IN,
        PaperKind.GIVEN_BACK);
  }

  /** Places that have less of an item than they should. */
  public static Listing wanting() {
    return new Listing(
        "What places are short of",
        """
        item_place m join item i on i.id = m.item_id and i.active
        join place l on l.id = m.place_id and l.active
        left join place_stock s on s.item_id = m.item_id and s.place_id = m.place_id
        where coalesce(s.quantity, 0) < m.least""",
        Map.of(),
        List.of(
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("code", "Code", "i.code", TEXT, Papers.ITEM),
            new Column("item", "Item", "i.name", TEXT, Papers.ITEM),
            new Column("place", "Place", "l.name", TEXT, "/goods/item/{item_id}/places"),
            new Column("here", "Here", "coalesce(s.quantity, 0)", QUANTITY),
            new Column("least", "At least", "m.least", QUANTITY),
            new Column("most", "Filled up to", "coalesce(m.most, m.least)", QUANTITY),
            new Column(
                "needed",
                "Short of that",
                "coalesce(m.most, m.least) - coalesce(s.quantity, 0)",
                QUANTITY),
            new Column(
                "elsewhere",
                "Elsewhere",
                """
                (select coalesce(sum(o.quantity), 0) from place_stock o
                 join place q on q.id = o.place_id and q.for_sale
                 where o.item_id = i.id and o.place_id <> l.id)""",
                QUANTITY)),
        "concat(lpad(i.id, 12, '0'), '.', lpad(l.id, 8, '0'))",
        "place",
        "No place is short. An item's card says how much each place should have.");
  }

  /** Write-downs, and what was taken back of them. */
  public static Listing writeDowns() {
    return Papers.list(
        "Write-downs",
        "No write-down yet. The proposal shows which goods stand above what they would fetch.",
        List.of(
            Papers.what(),
            new Column(
                "why",
                "Why",
                """
                (select group_concat(distinct nullif(n.wording, '') separator ', ')
                 from paper_line n where n.paper_id = p.id and n.version = p.version)""",
                TEXT),
            new Column("down", "Written down", "if(p.net < 0, -p.net, null)", MONEY, Papers.PAPER),
            new Column("up", "Back up", "if(p.net > 0, p.net, null)", MONEY, Papers.PAPER),
            Papers.state(),
            Papers.postedBy()),
        PaperKind.WRITE_DOWN);
  }
}
