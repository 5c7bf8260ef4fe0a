package zinctally.store.moves;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.moves.Costing;
import zinctally.core.moves.Moves;

/** A row for each input row, kept in files part by part, then brought into input order. */
final class CostRowsAside implements Costs {
  private static final int BUFFER = 1 << 16;
  private final Aside files;
  private final List<String> items;
  private final int digits;

  CostRowsAside(Aside files, List<String> items, int digits) {
    this.files = files;
    this.items = items;
    this.digits = digits;
  }

  @Override
  public void take(int part, Moves moves, Costing costing) throws IOException {
    List<String> here = new ArrayList<>();
    for (int item = part; item < items.size(); item += Aside.PARTS)
      here.add(RowText.quoted(items.get(item)));
    RowText rows = new RowText(moves, costing, here, digits);
    Line line = new Line(256);
    for (int row = 0; row < moves.size(); row++) {
      line.clear();
      rows.add(row, line);
      files.keep(part, line);
    }
  }

  @Override
  public void write(OutputStream out) throws IOException {
    OutputStream buffered = new BufferedOutputStream(out, BUFFER);
    buffered.write(RowText.HEAD);
    files.merge(buffered);
    buffered.flush();
  }
}
