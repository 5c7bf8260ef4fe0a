package zinctally.store.tax;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import zinctally.core.papers.tax.TaxBox;
import zinctally.core.papers.tax.TaxDue;
import zinctally.store.NotKept;
import zinctally.store.sql.NewRow;

/** The boxes of the book's tax return. */
@Repository
public class TaxBoxStore {
  private static final int LONGEST_CODE = 12;
  private static final int LONGEST_WORDS = 120;
  private static final int LONGEST_OF = 200;
  private final JdbcClient sql;

  TaxBoxStore(JdbcClient sql) {
    this.sql = sql;
  }

  /**
   * A box with where it stands.
   *
   * @param place from one
   */
  public record Placed(long id, int place, TaxBox box) {
    @Override
    public String toString() {
      return box.code()
          + " "
          + box.words()
          + ", "
          + box.counts().words()
          + (box.of().isBlank() ? "" : " " + box.of());
    }
  }

  /** All boxes in their order. */
  public List<Placed> boxes() {
    List<Placed> boxes = new ArrayList<>();
    sql.sql("select id, code, words, counts, of from tax_box order by place, id")
        .query(
            row -> {
              boxes.add(
                  new Placed(
                      row.getLong(1),
                      boxes.size() + 1,
                      new TaxBox(
                          row.getString(2),
                          row.getString(3),
                          TaxBox.Counts.valueOf(row.getString(4)),
                          row.getString(5))));
            });
    return boxes;
  }

  /**
   * Makes a box (id zero) or changes one. The caller holds the book alone.
   *
   * @param place where it stands, from one
   */
  public void save(long id, int place, TaxBox box) {
    fits(box.code(), LONGEST_CODE, "A box needs a code of at most 12 letters.");
    if (!box.code().matches("[^\\s+,-]+"))
      throw new NotKept("The code of a box has no spaces and no + , or - in it.");
    fits(box.words(), LONGEST_WORDS, "A box needs words of at most 120 letters.");
    if (box.of().length() > LONGEST_OF)
      throw new NotKept("What a box is made of is said in at most 200 letters.");
    List<Placed> order = new ArrayList<>(boxes());
    Optional<Placed> same =
        order.stream()
            .filter(b -> b.id() != id && b.box().code().equalsIgnoreCase(box.code()))
            .findFirst();
    if (same.isPresent())
      throw new NotKept("There is a box " + same.get().box().code() + " already.");
    order.removeIf(b -> b.id() == id);
    int at = Math.max(0, Math.min(place - 1, order.size()));
    order.add(at, new Placed(id, at + 1, box));
    stand(order.stream().map(Placed::box).toList());
    long saved = id == 0 ? NewRow.id(write("insert into tax_box set ", "", box)) : id;
    if (id != 0) write("update tax_box set ", " where id = ?", box).param(id).update();
    for (int i = 0; i < order.size(); i++)
      sql.sql("update tax_box set place = ? where id = ?")
          .params(i + 1, order.get(i).id() == id ? saved : order.get(i).id())
          .update();
  }

  private JdbcClient.StatementSpec write(String what, String which, TaxBox box) {
    return sql.sql(what + "place = 0, code = ?, words = ?, counts = ?, of = ?" + which)
        .params(box.code(), box.words(), box.counts().name(), box.of());
  }

  private static void fits(String typed, int longest, String says) {
    if (typed.isBlank() || typed.length() > longest) throw new NotKept(says);
  }

  /** Takes a box away. The caller holds the book alone. */
  public void remove(long id) {
    stand(boxes().stream().filter(b -> b.id() != id).map(Placed::box).toList());
    sql.sql("delete from tax_box where id = ?").param(id).update();
  }

  /** Looks that every box counts what is there, in the order they would stand in. */
  private void stand(List<TaxBox> boxes) {
    List<String> rates =
        new ArrayList<>(
            sql.sql("select code from tax_rate order by code").query(String.class).list());
    rates.add(TaxDue.BY_HAND);
    List<String> above = new ArrayList<>();
    for (TaxBox box : boxes) {
      Optional<String> wrong = box.wrong(above, rates);
      if (wrong.isPresent()) throw new NotKept(wrong.get());
      above.add(box.code());
    }
  }
}
