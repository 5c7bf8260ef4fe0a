package zinctally.store.make;

import static zinctally.store.listing.Listing.Type.DATE;
import static zinctally.store.listing.Listing.Type.HIDDEN;
import static zinctally.store.listing.Listing.Type.NUMBER;
import static zinctally.store.listing.Listing.Type.PERCENT;
import static zinctally.store.listing.Listing.Type.QUANTITY;
import static zinctally.store.listing.Listing.Type.TEXT;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zinctally.core.units.Unit;
import zinctally.store.listing.Listing;
import zinctally.store.listing.Listing.Column;
import zinctally.store.sql.Here;

/** What is made of what. */
public final class RecipeListings {
  private static final String RECIPE = "/handle/recipes/{id}";
  private static final String ITEM = "/goods/item/{item_id}";

  /** Millionths of a part that may be taken. */
  private static final String FREE = Here.free("q.item_id");

  private RecipeListings() {}

  /** Every recipe, those too that a later one has replaced. */
  public static Listing recipes() {
    return new Listing(
        "Recipes",
        "recipe r join paper p on p.id = r.paper_id join item i on i.id = r.item_id where true",
        Map.of(),
        List.of(
            new Column("id", "", "r.paper_id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("number", "Number", "p.number", TEXT, RECIPE),
            new Column("code", "Code", "i.code", TEXT, ITEM),
            new Column("item", "What is made", "i.name", TEXT, RECIPE),
            new Column("from", "From", "r.date", DATE),
            new Column(
                "until",
                "Replaced on",
                "(select min(n.date) from recipe n where n.item_id = r.item_id"
                    + " and (n.date, n.paper_id) > (r.date, r.paper_id))",
                DATE),
            new Column("made", "A batch", "r.made", QUANTITY),
            new Column(
                "parts",
                "Parts",
                "(select count(*) from recipe_part q where q.paper_id = r.paper_id)",
                NUMBER),
            new Column("possible", "Can be made now", possible(), QUANTITY),
            new Column("who", "Posted by", "p.posted_by", TEXT)),
        "r.paper_id",
        "code",
        "No recipe yet. Press n, then e, to say what something is made of.");
  }

  /** As many as the scarcest part is enough for; whole pieces of what is counted. */
  private static String possible() {
    String counted =
        Stream.of(Unit.values())
            .filter(Unit::counted)
            .map(u -> "'" + u.rec20() + "'")
            .collect(Collectors.joining(", "));
    String piece = "if(i.base_unit in (" + counted + "), 1000000, 1)";
    return """
        (select min(%s * floor(
          greatest(0, %s) * r.made * 100 / (q.quantity * (100 + q.waste)) / %s))
         from recipe_part q where q.paper_id = r.paper_id)"""
        .formatted(piece, FREE, piece);
  }

  /** Every part of every recipe: where an item is used. */
  public static Listing uses() {
    return new Listing(
        "What goes into what",
        """
        recipe_part q join recipe r on r.paper_id = q.paper_id join paper p on p.id = r.paper_id
        join item i on i.id = q.item_id join item m on m.id = r.item_id where true""",
        Map.of(),
        List.of(
            new Column("id", "", "r.paper_id", HIDDEN),
            new Column("item_id", "", "i.id", HIDDEN),
            new Column("code", "Code", "i.code", TEXT, ITEM),
            new Column("item", "Part", "i.name", TEXT, ITEM),
            new Column("quantity", "In a batch", "q.quantity", QUANTITY),
            new Column("waste", "Waste %", "nullif(q.waste, 0)", PERCENT),
            new Column("into", "Goes into", "m.name", TEXT, RECIPE),
            new Column("made", "A batch", "r.made", QUANTITY),
            new Column("number", "Recipe", "p.number", TEXT, RECIPE),
            new Column("from", "From", "r.date", DATE)),
        "concat(lpad(r.paper_id, 12, '0'), '.', lpad(q.line, 8, '0'))",
        "code",
        "No recipe yet: nothing goes into anything.");
  }
}
