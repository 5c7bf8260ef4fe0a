package zinctally.store.count;

/** Which goods of a place a sheet is drawn for. */
public enum Scope {
  ALL("Everything there", "Everything", "true"),
  SHELF("A shelf, or those that begin so", "Shelf", "left(i.shelf, char_length(:value)) = :value"),
  GROUP(
      "A group, with those under it",
      "Group",
      """
      i.group_id in (
        with recursive below as (
          select id from item_group where name = :value
          union all select g.id from item_group g join below b on g.parent_id = b.id)
        select id from below)"""),
  SUPPLIER("Goods of a usual supplier", "Supplier", "i.supplier = :value"),
  CLASS(
      "Goods of class A, B or C",
      "Class",
      "exists (select 1 from item_class k where k.item_id = i.id and k.class = :value)"),
  MOVED(
      "What moved since it was counted there",
      "What moved since it was counted",
      Scope.MOVED_SINCE),
  ITEMS("These items", "Items", "i.code in (:values)");

  private static final String MOVED_SINCE =
      """
      not exists (
        select 1 from count_line o join count_sheet c on c.id = o.sheet_id
        where o.item_id = i.id and c.place_id = :place and c.state = 'POSTED'
          and o.counted_at >= coalesce((
            select max(m.at) from quantity_move m
            where m.item_id = i.id and m.place_id = :place
              and (c.paper_id is null or m.paper_id <> c.paper_id)), '1000-01-01'))""";

  private final String words;
  private final String brief;
  private final String sql;

  Scope(String words, String brief, String sql) {
    this.words = words;
    this.brief = brief;
    this.sql = sql;
  }

  public String words() {
    return words;
  }

  /** What a sheet says of it. */
  String brief() {
    return brief;
  }

  /** Whether it needs to be said which one. */
  public boolean named() {
    return this != ALL && this != MOVED;
  }

  /** Whether an item {@code i} is among them. */
  String sql() {
    return sql;
  }
}
