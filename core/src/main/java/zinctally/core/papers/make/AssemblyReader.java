package zinctally.core.papers.make;

import static zinctally.core.papers.read.Reader.known;

import java.util.ArrayList;
import java.util.List;
import zinctally.core.goods.Item;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** Reads an assembly. */
public final class AssemblyReader {
  private AssemblyReader() {}

  public static Reading assembly(Reader in) {
    MakingReader reader = new MakingReader(in);
    Goods made = reader.one(false);
    OfWorkOrder order = OfWorkOrder.read(in, made);
    reader.promisedTo(order.paper());
    List<Goods> parts = new ArrayList<>();
    for (RowReader row : in.rows()) {
      Item item = reader.other(row, made);
      if (item == null) continue;
      if (!row.cell("amount").isEmpty())
        row.fault("amount", "Goods cost what the book says; an amount is for work that is added.");
      Goods part = reader.goods(row, item, true);
      if (part != null) parts.add(part);
    }
    if (parts.isEmpty() && in.sound())
      in.fault("rows.0.item", "Of what is it made? Name each component and how many go into it.");
    return in.done(
        () ->
            new Assembly(
                known(reader.date),
                known(reader.place),
                known(reader.into),
                known(made),
                List.copyOf(parts),
                reader.work(),
                order));
  }
}
