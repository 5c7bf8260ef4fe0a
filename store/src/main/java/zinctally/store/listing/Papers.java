package zinctally.store.listing;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.MONEY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import zinctally.core.papers.PaperKind;
import zinctally.store.listing.Listing.Column;

/**
 * What lists of papers have in common: pieces of SQL over {@code paper p}, {@code paper_kind k},
 * {@code party w} and {@code place l}, and the columns made of them.
 */
final class Papers {
  /** Papers that are brought into another order than theirs while one waits. */
  private static final int AT_A_GLANCE = 100_000;

  private Papers() {}

  static final String PAPER = "/papers/{id}";
  static final String ITEM = "/goods/item/{item_id}";

  static final String FROM =
      """
      paper p straight_join paper_kind k on k.kind = p.kind
      left join party w on w.id = p.party_id left join place l on l.id = p.place_id
      where p.kind in (:kinds)""";

  static final String WHAT =
      """
      coalesce((select group_concat(distinct i.name order by n.line separator '; ')
        from paper_line n join item i on i.id = n.item_id
        where n.paper_id = p.id and n.version = p.version and n.line < 3), '')""";

  /** Goods with a word in their name are fewer than papers: their lines lead to those. */
  private static final String WHAT_HAS =
      """
      p.id in (select n.paper_id from item i join paper_line n on n.item_id = i.id and n.line < 3
        join paper q on q.id = n.paper_id and q.version = n.version where i.name like {word})""";

  static final String STATE =
      "case when p.state = 'VOID' then 'void' when p.version > 1 then concat('version ', p.version)"
          + " else '' end";

  /** What comes or goes back stands out by its sign. */
  static final String SIGNED_TOTAL = "k.sign * p.total";

  /** The accounts on which money came or went with it. */
  static final String MONEY_ACCOUNTS =
      """
      (select group_concat(distinct a.name order by a.code separator ', ')
       from journal j straight_join journal_line m on m.journal_id = j.id
       straight_join account a on a.id = m.account_id
       where j.paper_id = p.id and j.version = p.version and not j.reverses
         and (a.role = 'MONEY' or a.id in (select account_id from tender)))""";

  /** What of other papers it settles. */
  static final String SETTLES =
      """
      (select group_concat(o.number order by o.due, o.id separator ', ')
       from settlement s join open_item o on o.id = s.open_item_id where s.paper_id = p.id)""";

  /**
   * Papers of some kinds, with the columns that their list is about.
   *
   * @param columns over {@link #FROM}, without the paper's and party's ids, date and number
   */
  static Listing list(String name, String empty, List<Column> columns, PaperKind... kinds) {
    return new Listing(
            name,
            FROM,
            Map.of(),
            Stream.concat(
                    Stream.of(
                        new Column("id", "", "p.id", HIDDEN),
                        new Column("party_id", "", "w.id", HIDDEN),
                        new Column("date", "Date", "p.date", DATE),
                        new Column("number", "Number", "p.number", TEXT, PAPER)),
                    columns.stream())
                .toList(),
            "p.id",
            "-date",
            empty)
        .orderedUpTo(AT_A_GLANCE)
        .of(kinds);
  }

  static Column supplier() {
    return new Column("party", "Supplier", "w.name", TEXT, "/buy/supplier/{party_id}");
  }

  static Column customer() {
    return new Column("party", "Customer", "w.name", TEXT, "/sell/customer/{party_id}");
  }

  static Column reference(String heading) {
    return new Column("reference", heading, "p.reference", TEXT);
  }

  static Column what() {
    return new Column("what", "What", WHAT, TEXT).foundBy(WHAT_HAS);
  }

  static Column place(String heading) {
    return new Column("place", heading, "l.name", TEXT);
  }

  static Column total(String heading) {
    return new Column("total", heading, SIGNED_TOTAL, MONEY, PAPER);
  }

  static Column net(String heading) {
    return new Column("net", heading, "k.sign * p.net", MONEY, PAPER);
  }

  /** What of it is neither paid nor settled yet, as an amount without a side. */
  static Column open(String heading) {
    return new Column(
        "open",
        heading,
        "(select nullif(sum(abs(o.open)), 0) from open_item o where o.paper_id = p.id)",
        MONEY);
  }

  /** What it did to stock, as known when it was posted. */
  static Column stock(String heading, String sign) {
    return new Column("stock", heading, sign + "nullif(p.stock_value, 0)", MONEY, PAPER);
  }

  static Column due() {
    return new Column("due", "Due", "p.due", DATE);
  }

  static Column state() {
    return new Column("state", "State", STATE, TEXT);
  }

  static Column postedBy() {
    return new Column("who", "Posted by", "p.posted_by", TEXT);
  }

  /** Why goods came or went back with it. */
  static Column reasons() {
    return new Column(
        "reason",
        "Reason",
        """
        (select group_concat(distinct r.name order by r.name separator ', ')
         from paper_line n join return_reason r on r.id = n.return_reason_id
         where n.paper_id = p.id and n.version = p.version)""",
        TEXT);
  }
}
