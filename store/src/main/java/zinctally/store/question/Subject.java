package zinctally.store.question;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import zinctally.store.listing.Listing.Column;
import zinctally.store.listing.Listing.Type;

/**
 * Something that questions can be about: a table, what can be reached from it, and its columns. All
 * SQL is ours; what is not needed for a question is not joined.
 *
 * @param sentence what a row is
 * @param usual keys of the columns that are shown when none is chosen
 * @param where a condition that always holds
 * @param id tells rows apart
 * @param sort key of a column that is never null, with an index if there are many rows; with a
 *     leading minus, descending
 * @param ledger whether it is for who sees the ledger
 * @param thin how its table, which grows with the history, can be added up first
 */
public record Subject(
    String key,
    String name,
    String sentence,
    List<Part> parts,
    List<String> usual,
    String base,
    Map<String, String> joins,
    String where,
    String id,
    String sort,
    boolean ledger,
    Optional<Thin> thin) {
  /**
   * Columns of the subject's own table by which there are far fewer sums than rows.
   *
   * @param alias of the table
   */
  record Thin(String alias, Set<String> columns) {}

  /**
   * A column of a subject.
   *
   * @param known other words it is found by
   */
  public record Part(Column column, String known) {
    /**
     * Whether it is what somebody typed: its key, its heading, or a part of what it is known by.
     */
    boolean called(String typed) {
      return column.key().equals(typed) || column.heading().equalsIgnoreCase(typed);
    }

    boolean knownBy(String typed) {
      String all = (column.heading() + " " + known).toLowerCase(Locale.ROOT);
      return !typed.isBlank() && all.contains(typed.toLowerCase(Locale.ROOT));
    }
  }

  static Builder about(String key, String name, String sentence) {
    return new Builder(key, name, sentence);
  }

  /** Without columns about what goods cost. */
  public Subject withoutCosts() {
    return new Subject(
        key,
        name,
        sentence,
        parts.stream().filter(p -> !p.column.cost()).toList(),
        usual,
        base,
        joins,
        where,
        id,
        sort,
        ledger,
        thin);
  }

  public Optional<Column> column(String key) {
    return parts.stream().map(Part::column).filter(c -> c.key().equals(key)).findFirst();
  }

  /** Columns that can be seen: not those that only lead somewhere. */
  public List<Part> shown() {
    return parts.stream().filter(p -> p.column.type() != Type.HIDDEN).toList();
  }

  /** The key of the column that was meant; what was typed when none was. */
  public String keyOf(String typed) {
    return shown().stream()
        .filter(p -> p.called(typed))
        .findFirst()
        .or(() -> shown().stream().filter(p -> p.knownBy(typed)).findFirst())
        .map(p -> p.column.key())
        .orElse(typed);
  }

  /** What follows {@code from}: the table, and what these pieces of SQL need besides. */
  String from(List<String> used) {
    List<String> all = new ArrayList<>(used);
    all.add(where);
    all.add(id);
    return base + joined(all) + " where " + where;
  }

  /** The same with something else in the place of the table, which holds what is asked for only. */
  String from(List<String> used, String instead) {
    return instead + joined(used) + " where true";
  }

  /** What joins these pieces of SQL need. */
  String joined(List<String> used) {
    Set<String> needed = new LinkedHashSet<>();
    for (String sql : used) need(sql, needed);
    return joins.entrySet().stream()
        .filter(j -> needed.contains(j.getKey()))
        .map(j -> " " + j.getValue())
        .collect(Collectors.joining());
  }

  /** Whether a piece of SQL needs nothing but the table itself. */
  boolean own(String sql) {
    return joined(List.of(sql)).isEmpty();
  }

  private void need(String sql, Set<String> needed) {
    joins.forEach(
        (alias, join) -> {
          if (!needed.contains(alias)
              && Pattern.compile("\\b" + alias + "\\.").matcher(sql).find()) {
            needed.add(alias);
            need(join.replaceAll("\\b" + alias + "\\.", ""), needed);
          }
        });
  }

  /** Puts a subject together. */
  static final class Builder {
    private final String key;
    private final String name;
    private final String sentence;
    private final List<Part> parts = new ArrayList<>();
    private final Map<String, String> joins = new LinkedHashMap<>();
    private List<String> usual = List.of();
    private String base = "";
    private String where = "true";
    private String id = "";
    private String sort = "";
    private boolean ledger;
    private Optional<Thin> thin = Optional.empty();

    private Builder(String key, String name, String sentence) {
      this.key = key;
      this.name = name;
      this.sentence = sentence;
    }

    Builder from(String table, String holds, String tells) {
      base = table;
      where = holds;
      id = tells;
      return this;
    }

    /**
     * What can be joined, in an order in which each needs only those before it; the first counts.
     */
    Builder join(String alias, String sql) {
      joins.putIfAbsent(alias, sql);
      return this;
    }

    Builder sorted(String by) {
      sort = by;
      return this;
    }

    Builder usual(String... keys) {
      usual = List.of(keys);
      return this;
    }

    /** By which of its own columns its table is added up first. */
    Builder thinnedBy(String alias, String... columns) {
      thin = Optional.of(new Thin(alias, Set.of(columns)));
      return this;
    }

    Builder ofLedger() {
      ledger = true;
      return this;
    }

    Builder leads(String column, String sql) {
      parts.add(new Part(new Column(column, "", sql, Type.HIDDEN), ""));
      return this;
    }

    Builder column(
        String column, String heading, String sql, Type type, String link, String known) {
      parts.add(new Part(new Column(column, heading, sql, type, link), known));
      return this;
    }

    Builder column(String column, String heading, String sql, Type type) {
      return column(column, heading, sql, type, "", "");
    }

    /** The same, only for who sees what goods cost. */
    Builder cost(String column, String heading, String sql, Type type, String known) {
      parts.add(new Part(new Column(column, heading, sql, type).ofCost(), known));
      return this;
    }

    /** An item and what is known of it; of {@code i}, which the subject joins. */
    Builder item() {
      join("g", "join item_group g on g.id = i.group_id");
      leads("item_id", "i.id");
      column("code", "Code", "i.code", Type.TEXT, "/goods/item/{item_id}", "item number");
      column("item", "Item", "i.name", Type.TEXT, "/goods/item/{item_id}", "goods article product");
      column("group", "Group", "g.name", Type.TEXT, "", "category");
      column("unit", "Unit", "i.base_unit", Type.TEXT, "", "");
      column("usual", "Usual supplier", "i.supplier", Type.TEXT, "", "vendor");
      column("shelf", "Shelf", "i.shelf", Type.TEXT, "", "bin");
      column("barcode", "Barcode", "i.gtin", Type.TEXT, "", "gtin ean");
      column("tracking", "Tracked by", "lower(i.tracking)", Type.TEXT, "", "lot serial");
      return column("active", "In use", "if(i.active, 'yes', 'no')", Type.TEXT, "", "active");
    }

    /** A paper and what is known of it; of {@code p}, which the subject joins. */
    Builder paper() {
      join("k", "join paper_kind k on k.kind = p.kind");
      leads("paper_id", "p.id");
      column("date", "Date", "p.date", Type.DATE, "", "day when");
      column("number", "Paper", "p.number", Type.TEXT, "/papers/{paper_id}", "number document");
      column("kind", "Kind of paper", "k.words", Type.TEXT, "", "what");
      column("state", "State", "lower(p.state)", Type.TEXT, "", "void posted");
      column("their", "Their number", "p.reference", Type.TEXT, "", "reference");
      column("posted", "Posted", "p.posted_at", Type.TIME, "", "entered moment");
      return column("by", "Posted by", "p.posted_by", Type.TEXT, "", "who login staff");
    }

    /** A supplier or customer; of {@code w}, which the subject joins. */
    Builder party(String heading) {
      leads("party_id", "w.id");
      leads(
          "party_page",
          "concat(if(w.kind = 'CUSTOMER', '/sell/customer/', '/buy/supplier/'), w.id)");
      column("party", heading, "w.name", Type.TEXT, "", "customer supplier vendor name who");
      column("language", "Language", "w.language", Type.TEXT, "", "");
      return column("email", "E-mail", "w.email", Type.TEXT, "", "mail address");
    }

    /** A place in all its standings; of {@code o}, which the subject joins. */
    Builder place() {
      join("oa", "left join place oa on oa.id = coalesce(o.at_id, o.id)");
      join("os", "left join standing os on os.id = o.standing_id");
      join("ow", "left join party ow on ow.id = o.owner_id");
      column("place", "Place", "oa.name", Type.TEXT, "", "store location warehouse where");
      column("standing", "Standing", "os.name", Type.TEXT, "", "condition");
      return column("owner", "Owner", "coalesce(ow.name, 'ours')", Type.TEXT, "", "whose");
    }

    Subject done() {
      return new Subject(
          key,
          name,
          sentence,
          List.copyOf(parts),
          usual,
          base,
          joins,
          where,
          id,
          sort,
          ledger,
          thin);
    }
  }
}
