package zinctally.core.papers.stock;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.goods.Item;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** Reads which items are to be worked out again. */
public final class RecostingReader {
  private RecostingReader() {}

  public static Reading recosting(Reader in) {
    LocalDate date = in.date();
    String why = in.text("why");
    List<Item> items = new ArrayList<>();
    for (RowReader row : in.rows()) {
      Item item = row.stocked("it has no costs of its own.");
      if (item == null) continue;
      row.facts(new Reading.RowFacts(item.id(), item.name(), "", null));
      if (items.contains(item)) row.fault("item", item.name() + " is on a line above already.");
      items.add(item);
    }
    if (items.isEmpty() && in.sound())
      in.fault("rows.0.item", "There is no line yet: an item whose costs are to be put right.");
    return in.done(() -> new Recosting(known(date), List.copyOf(items), why));
  }
}
