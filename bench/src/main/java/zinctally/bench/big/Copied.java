package zinctally.bench.big;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * How the rows of a small book become rows of one more firm of the same trade in a big one: other
 * goods, other parties, other papers, some years earlier; the same accounts, places and people.
 */
final class Copied {
  /**
   * What is numbered anew in each copy, and the table and column that say how far the numbers go.
   * Everything else that is numbered is numbered by the database.
   */
  private static final Map<String, String> NUMBERED =
      Map.ofEntries(
          Map.entry("item", "item.id"),
          Map.entry("party", "party.id"),
          Map.entry("place", "place.id"),
          Map.entry("paper", "paper.id"),
          Map.entry("sequence", "paper.sequence"),
          Map.entry("event", "cost_event.id"),
          Map.entry("journal", "journal.id"),
          Map.entry("posting", "posting.id"),
          Map.entry("awaited", "awaited.id"),
          Map.entry("open", "open_item.id"),
          Map.entry("lot", "lot.id"),
          Map.entry("till", "till.id"),
          Map.entry("sheet", "count_sheet.id"),
          Map.entry("counted", "count_line.id"));

  /** A table a line: what its columns are numbered by, or how else they differ. */
  private static final String TABLES =
      """
      item id=item merged_into=item code=code name=name gtin=none
      item_class item_id=item
      item_price item_id=item from_date=day
      item_place item_id=item place_id=place
      party id=party merged_into=party name=name
      place id=place at_id=place owner_id=party host_id=party name=name
      paper id=paper number=number date=day due=day sequence=sequence party_id=party place_id=place till_id=till
      supplier_item party_id=party item_id=item paper_id=paper date=day
      paper_line paper_id=paper item_id=item place_id=place of_paper=paper
      posting id=posting paper_id=paper
      journal id=journal paper_id=paper date=day till_id=till posting_id=posting
      journal_line id=auto journal_id=journal item_id=item party_id=party date=day
      lot id=lot item_id=item
      lot_stock lot_id=lot place_id=place
      cost_event id=event item_id=item date=day sequence=sequence target_id=event paper_id=paper lot_id=lot
      cost_entry id=auto item_id=item event_id=event posting_date=day cause_id=paper journal_id=journal posting_id=posting
      uncovered_out event_id=event item_id=item
      quantity_move id=auto item_id=item place_id=place date=day paper_id=paper lot_id=lot posting_id=posting
      place_stock item_id=item place_id=place
      item_month item_id=item month=day
      item_year item_id=item year=year
      stock_account_month item_id=item month=day
      stock_account_year item_id=item year=year
      open_item id=open paper_id=paper party_id=party number=owed date=day due=day
      settlement id=auto paper_id=paper open_item_id=open date=day
      awaited id=awaited paper_id=paper item_id=item party_id=party order_paper=paper
      fulfilment id=auto awaited_id=awaited paper_id=paper date=day
      tax_entry id=auto posting_id=posting paper_id=paper date=day return_id=paper
      tax_return paper_id=paper from_day=day to_day=day
      making paper_id=paper
      made_of event_id=event paper_id=paper item_id=item
      recipe paper_id=paper item_id=item date=day place_id=place
      recipe_part paper_id=paper item_id=item
      recipe_work paper_id=paper
      agreement_line paper_id=paper party_id=party item_id=item date=day
      order_head paper_id=paper expected=day
      till id=till place_id=place paper_id=paper
      count_sheet id=sheet place_id=place paper_id=paper date=day draft_id=none
      count_line id=counted sheet_id=sheet item_id=item lot_id=lot
      count_entry id=auto line_id=counted
      audit id=auto subject_id=subject
      """;

  /** What all firms of the book share, or what is added up or written otherwise. */
  private static final Set<String> ONCE =
      Set.copyOf(
          Arrays.asList(
              """
              account account_month app_user awaits_role book by_hand_unchecked centre check_finding check_run
              cost_checkpoint cost_pool draft flyway_schema_history item_group opening_target
              paper_kind paper_look paper_number paper_version period price_list reason reminder
              reminder_due repeating return_reason role_may seal seal_leaf sealer section standing
              stock_month tax_box tax_rate tender writing_server
              """
                  .strip()
                  .split("\\s+")));

  private static final String OWN_PLACES =
      "(select o.id from %s.place o where o.owner_id is not null or o.host_id is not null)";

  private final JdbcClient sql;
  private final String from;
  private final Map<String, Map<String, String>> tables = new LinkedHashMap<>();
  private final Map<String, Long> far = new LinkedHashMap<>();

  /**
   * @param sql the big book
   * @param from the schema of the small one
   * @throws IllegalStateException when the small book holds rows of a table nobody says anything of
   */
  Copied(JdbcClient sql, String from) {
    this.sql = sql;
    this.from = from;
    for (String line : TABLES.strip().split("\n")) {
      String[] words = line.strip().split("\\s+");
      Map<String, String> ways = new LinkedHashMap<>();
      for (int i = 1; i < words.length; i++)
        ways.put(words[i].split("=")[0], words[i].split("=")[1]);
      tables.put(words[0], ways);
    }
    NUMBERED.forEach(
        (what, column) -> {
          String[] at = column.split("\\.");
          far.put(what, number("select max(" + at[1] + ") from " + from + "." + at[0]));
        });
    for (String table : filled())
      if (!ONCE.contains(table) && !tables.containsKey(table))
        throw new IllegalStateException("nobody says how " + table + " is copied");
  }

  private long number(String asked) {
    return sql.sql(asked).query(Long.class).single();
  }

  /** Tables of the small book with rows in them. */
  List<String> filled() {
    List<String> filled = new ArrayList<>();
    for (String table :
        sql.sql(
                "select table_name from information_schema.tables where table_schema = ?"
                    + " and table_type = 'BASE TABLE' and table_name not like 'SPRING%'")
            .param(from)
            .query(String.class)
            .list())
      if (number("select exists (select 1 from " + from + "." + table + ")") == 1)
        filled.add(table);
    return filled;
  }

  /** How much is added to what is numbered in the copy, such as {@code paper}. */
  long added(String what, int copy) {
    return Objects.requireNonNull(far.get(what)) * copy;
  }

  /** Writes one more copy, so many years earlier. */
  void write(int copy, int years) {
    for (var table : tables.entrySet()) {
      List<String> columns =
          sql.sql(
                  "select column_name from information_schema.columns where table_schema = ?"
                      + " and table_name = ? and generation_expression is null"
                      + " order by ordinal_position")
              .params(from, table.getKey())
              .query(String.class)
              .list();
      columns.removeIf(c -> "auto".equals(table.getValue().get(c)));
      sql.sql(
              "insert into "
                  + table.getKey()
                  + " ("
                  + String.join(", ", columns.stream().map(c -> "`" + c + "`").toList())
                  + ") select "
                  + String.join(
                      ", ",
                      columns.stream()
                          .map(c -> said("s.`" + c + "`", table.getValue().get(c), copy, years))
                          .toList())
                  + " from "
                  + from
                  + "."
                  + table.getKey()
                  + " s"
                  + which(table.getKey(), years))
          .update();
    }
  }

  private String which(String table, int years) {
    String numbers =
        " join %s.paper_number t on t.kind = %s.kind and t.year = substring_index(substring_index(%s.number, '-', 2), '-', -1)"
            + " left join paper_number b on b.kind = %s.kind and b.year = t.year - "
            + years;
    return switch (table) {
      case "place" -> " where s.owner_id is not null or s.host_id is not null";
      case "count_sheet" -> " where s.paper_id is not null";
      case "count_line" ->
          " where s.sheet_id in (select h.id from %s.count_sheet h where h.paper_id is not null)"
              .formatted(from);
      case "count_entry" ->
          (" where s.line_id in (select l.id from %s.count_line l join %s.count_sheet h"
                  + " on h.id = l.sheet_id where h.paper_id is not null)")
              .formatted(from, from);
      case "paper" -> numbers.formatted(from, "s", "s", "s");
      case "open_item" ->
          " join %s.paper p on p.id = s.paper_id".formatted(from)
              + numbers.formatted(from, "p", "p", "p");
      default -> "";
    };
  }

  private String said(String column, @Nullable String way, int copy, int years) {
    if (way == null) return column;
    return switch (way) {
      case "none" -> "null";
      case "code" -> "concat(" + column + ", '." + copy + "')";
      case "name" -> "concat(" + column + ", ' " + copy + "')";
      case "day" -> "date_sub(" + column + ", interval " + years + " year)";
      case "year" -> column + " - " + years;
      case "number" -> numbered("s.number", years);
      case "owed" -> "if(s.number = p.number, " + numbered("p.number", years) + ", s.number)";
      case "subject" ->
          "if(s.subject = 'paper', " + column + " + " + added("paper", copy) + ", " + column + ")";
      case "place" ->
          "if(%s in %s, %s + %d, %s)"
              .formatted(column, OWN_PLACES.formatted(from), column, added("place", copy), column);
      default -> "if(%s = 0, 0, %s + %d)".formatted(column, column, added(way, copy));
    };
  }

  /** A number of a kind and year goes on from those that the big book has of them. */
  private static String numbered(String number, int years) {
    return "concat(substring_index(%s, '-', 1), '-', t.year - %d, '-', lpad(substring_index(%s, '-', -1) + coalesce(b.last, 0), 4, '0'))"
        .formatted(number, years, number);
  }
}
