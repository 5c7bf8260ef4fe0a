package zinctally.core.papers.stock;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.goods.Item;
import zinctally.core.papers.Fault;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.Reader;

/** Reads which items are to be worked out again. */
public final class RecostingReader {
  private RecostingReader() {}

  public static Reading recosting(Reader in) {
    LocalDate date = in.date();
    String why = in.text("why");
    List<Item> items = new ArrayList<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      Item item = in.stocked(row, "it has no costs of its own.");
      if (item == null) continue;
      in.rows.put(row, new Reading.RowFacts(item.id(), item.name(), "", null));
      if (items.contains(item))
        in.faults.add(Fault.at(row, "item", item.name() + " is on a line above already."));
      items.add(item);
    }
    if (items.isEmpty() && in.faults.isEmpty())
      in.fault("rows.0.item", "There is no line yet: an item whose costs are to be put right.");
    return in.done(() -> new Recosting(date, List.copyOf(items), why));
  }
}
