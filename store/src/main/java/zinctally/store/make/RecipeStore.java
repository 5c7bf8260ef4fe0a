package zinctally.store.make;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.make.Batch;
import zinctally.core.papers.make.Needs;
import zinctally.store.book.BookCatalogue;
import zinctally.store.sql.Here;

/** Finds recipes, and what they need. */
@Repository
public class RecipeStore {
  private final JdbcClient sql;

  RecipeStore(JdbcClient sql) {
    this.sql = sql;
  }

  private record Head(
      long paper, long item, String number, LocalDate from, String place, long made) {}

  private record PartRow(long paper, long item, long quantity, BigDecimal waste) {}

  private record WorkRow(long paper, long account, String wording, long batch, long piece) {}

  /** By what an item is made on a day. */
  public Optional<KnownRecipe> on(long item, LocalDate day, BookCatalogue book) {
    return Optional.ofNullable(on(List.of(item), day, book).get(item));
  }

  /** By what items are made on a day, those that are made. */
  private Map<Long, KnownRecipe> on(Collection<Long> items, LocalDate day, BookCatalogue book) {
    if (items.isEmpty()) return Map.of();
    List<Long> papers =
        sql.sql(
                """
                select (select r.paper_id from recipe r where r.item_id = i.id and r.date <= :day
                  order by r.date desc, r.paper_id desc limit 1) as paper
                from item i where i.id in (:items) having paper is not null
                """)
            .param("day", day)
            .param("items", items)
            .query(Long.class)
            .list();
    Map<Long, KnownRecipe> byItem = new HashMap<>();
    of(papers, book).forEach(r -> byItem.put(r.batch().item().id(), r));
    return byItem;
  }

  /** A recipe by its paper. */
  public Optional<KnownRecipe> of(long paper, BookCatalogue book) {
    return of(List.of(paper), book).stream().findFirst();
  }

  private List<KnownRecipe> of(Collection<Long> papers, BookCatalogue book) {
    if (papers.isEmpty()) return List.of();
    List<Head> heads =
        sql.sql(
                """
                select r.paper_id, r.item_id, p.number, r.date, coalesce(l.name, ''), r.made
                from recipe r join paper p on p.id = r.paper_id
                left join place l on l.id = r.place_id where r.paper_id in (:papers)
                """)
            .param("papers", papers)
            .query(
                (row, n) ->
                    new Head(
                        row.getLong(1),
                        row.getLong(2),
                        row.getString(3),
                        row.getObject(4, LocalDate.class),
                        row.getString(5),
                        row.getLong(6)))
            .list();
    List<PartRow> parts =
        sql.sql(
                "select paper_id, item_id, quantity, waste from recipe_part"
                    + " where paper_id in (:papers) order by paper_id, line")
            .param("papers", papers)
            .query(
                (row, n) ->
                    new PartRow(
                        row.getLong(1), row.getLong(2), row.getLong(3), row.getBigDecimal(4)))
            .list();
    List<WorkRow> work =
        sql.sql(
                "select paper_id, account_id, wording, batch, piece from recipe_work"
                    + " where paper_id in (:papers) order by paper_id, line")
            .param("papers", papers)
            .query(
                (row, n) ->
                    new WorkRow(
                        row.getLong(1),
                        row.getLong(2),
                        row.getString(3),
                        row.getLong(4),
                        row.getLong(5)))
            .list();
    TreeSet<Long> ids = new TreeSet<>();
    heads.forEach(h -> ids.add(h.item));
    parts.forEach(p -> ids.add(p.item));
    Map<Long, Item> items = book.items(ids);
    return heads.stream()
        .map(
            h ->
                new KnownRecipe(
                    h.paper, h.number, h.from, h.place, batch(h, parts, work, items, book)))
        .toList();
  }

  private static Batch batch(
      Head head,
      List<PartRow> parts,
      List<WorkRow> work,
      Map<Long, Item> items,
      BookCatalogue book) {
    return new Batch(
        Objects.requireNonNull(items.get(head.item)),
        new Quantity(head.made),
        parts.stream()
            .filter(p -> p.paper == head.paper)
            .map(
                p ->
                    new Batch.Part(
                        Objects.requireNonNull(items.get(p.item)),
                        new Quantity(p.quantity),
                        p.waste))
            .toList(),
        work.stream()
            .filter(w -> w.paper == head.paper)
            .map(w -> new Batch.Labour(book.account(w.account), w.wording, w.batch, w.piece))
            .toList());
  }

  /**
   * A recipe that speaks of an item.
   *
   * @param makes whether the item is made by it; else it goes into {@code what}
   */
  public record Mention(long paper, String number, boolean makes, String what) {}

  /**
   * By what an item is made, and what it goes into; recipes that a later one has replaced are not.
   */
  public List<Mention> mentions(long item) {
    return sql.sql(
            """
            select r.paper_id, p.number, r.item_id = :item as makes, i.name
            from recipe r join paper p on p.id = r.paper_id join item i on i.id = r.item_id
            where (r.item_id = :item or r.paper_id in
                (select q.paper_id from recipe_part q where q.item_id = :item))
              and not exists (select 1 from recipe n where n.item_id = r.item_id
                and (n.date, n.paper_id) > (r.date, r.paper_id))
            order by makes desc, i.name limit 20
            """)
        .param("item", item)
        .query(
            (row, n) ->
                new Mention(row.getLong(1), row.getString(2), row.getBoolean(3), row.getString(4)))
        .list();
  }

  /** What so many by a recipe need, as things stand on a day. */
  public Needs needs(KnownRecipe recipe, Quantity many, LocalDate day, BookCatalogue book) {
    Map<Long, KnownRecipe> made = new HashMap<>();
    TreeSet<Long> all = new TreeSet<>();
    TreeSet<Long> level = parts(List.of(recipe));
    while (!level.isEmpty()) {
      all.addAll(level);
      Map<Long, KnownRecipe> found = on(level, day, book);
      made.putAll(found);
      level = parts(found.values());
      level.removeAll(all);
    }
    Map<Long, Long> free = free(all);
    return new Needs(
        recipe.batch(),
        many,
        new Needs.Known() {
          @Override
          public Optional<Batch> batch(Item item) {
            return Optional.ofNullable(made.get(item.id())).map(KnownRecipe::batch);
          }

          @Override
          public Quantity free(Item item) {
            return new Quantity(free.getOrDefault(item.id(), 0L));
          }

          @Override
          public Optional<Catalogue.LatestCost> cost(Item item) {
            return book.presentCost(item.id());
          }
        });
  }

  private static TreeSet<Long> parts(Collection<KnownRecipe> recipes) {
    TreeSet<Long> ids = new TreeSet<>();
    for (KnownRecipe recipe : recipes) recipe.batch().parts().forEach(p -> ids.add(p.item().id()));
    return ids;
  }

  /** Millionths that may be sold and are not promised, by item. */
  private Map<Long, Long> free(Collection<Long> items) {
    Map<Long, Long> free = new HashMap<>();
    if (items.isEmpty()) return free;
    sql.sql(
            """
            select i.id, %s
            from item i where i.id in (:items)
            """
                .formatted(Here.FREE))
        .param("items", items)
        .query((row, n) -> free.put(row.getLong(1), row.getLong(2)))
        .list();
    return free;
  }
}
