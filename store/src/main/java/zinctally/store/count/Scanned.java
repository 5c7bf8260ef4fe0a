package zinctally.store.count;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.goods.Item;
import zinctally.core.goods.Tracking;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.units.Units;
import zinctally.store.Refused;
import zinctally.store.book.Catalogues;

/** Finds what somebody scanned or typed while counting. */
@Repository
public class Scanned {
  private final JdbcClient sql;
  private final Catalogues catalogues;

  Scanned(JdbcClient sql, Catalogues catalogues) {
    this.sql = sql;
    this.catalogues = catalogues;
  }

  private record Numbered(long lot, String code, String item) {}

  /**
   * @param typed code, barcode or name of an item; a lot or serial number, or an item's code and
   *     its lot
   * @param quantity in a unit of the item; empty for one
   * @throws Refused when there is nothing of that name, or it is not kept in stock
   */
  public Counting.Counted read(String typed, String quantity, String spot) {
    Catalogue book = catalogues.open();
    Optional<Item> item = book.item(typed.strip());
    if (item.isPresent() && !item.get().tracked()) return counted(item.get(), 0, quantity, spot);
    List<Numbered> numbers = numbered(typed.strip(), item.map(Item::id).orElse(0L));
    if (numbers.size() == 1 && !numbers.get(0).code().isEmpty()) {
      Numbered one = numbers.get(0);
      return counted(book.item(one.item()).orElseThrow(), one.lot(), quantity, spot);
    }
    if (item.isPresent())
      throw Refused.because(
          item.get().name()
              + (item.get().tracking() == Tracking.SERIAL
                  ? " is counted by serial number: scan that."
                  : " is counted by lot: scan that, or type " + typed.strip() + " and the lot."));
    throw Refused.because(
        numbers.isEmpty()
            ? "Nothing has the code, barcode, name or number \"" + typed.strip() + "\"."
            : "\""
                + typed.strip()
                + "\" is a number of several items; type the item's code before it.");
  }

  /** Lots and serial numbers with that code, alone or behind their item's code. */
  private List<Numbered> numbered(String typed, long item) {
    return sql.sql(
            """
            select l.id, l.code, i.code from lot l join item i on i.id = l.item_id
            where l.code = :typed and (:item = 0 or l.item_id = :item)
            union
            select l.id, l.code, i.code from item i join lot l on l.item_id = i.id
            where i.code = substring_index(:typed, ' ', 1)
              and l.code = trim(substring(:typed, length(substring_index(:typed, ' ', 1)) + 1))
            limit 2
            """)
        .param("typed", typed)
        .param("item", item)
        .query((row, n) -> new Numbered(row.getLong(1), row.getString(2), row.getString(3)))
        .list();
  }

  private static Counting.Counted counted(Item item, long lot, String typed, String spot) {
    if (!item.stocked()) throw Refused.because(item.name() + " is not kept in stock.");
    if (!item.active())
      throw Refused.because(item.name() + " is switched off; switch it on in Goods to count it.");
    return new Counting.Counted(item.id(), lot, quantity(item.units(), typed), spot.strip(), null);
  }

  /**
   * @throws Refused when it is no quantity from zero
   */
  public static Quantity quantity(Units units, String typed) {
    if (typed.isBlank()) return new Quantity(Quantity.ONE);
    Optional<Quantity> read = units.read(typed.strip()).map(Units.Typed::quantity);
    if (read.isEmpty())
      throw Refused.because(
          "\""
              + typed.strip()
              + "\" is not a quantity of it. Write a number, or with a unit: "
              + String.join(", ", units.shown().stream().map(Units.Shown::sign).toList())
              + ".");
    if (read.get().signum() < 0) throw Refused.because("There cannot be fewer than none.");
    return read.get();
  }
}
