package zinctally.store.moves;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.moves.Moves;

/** Rows in memory. */
final class Few implements Kept {
  private final Moves moves = new Moves();
  private final List<Referring> referring = new ArrayList<>();

  /** A row that names another. */
  private record Referring(int row, String target) {}

  int size() {
    return moves.size();
  }

  @Override
  public void add(Row row) {
    if (!row.target().isEmpty()) referring.add(new Referring(moves.size(), row.target()));
    moves.add(
        row.line(), row.day(), row.item(), row.kind(), row.quantity(), row.value(), row.ref());
  }

  void handTo(Kept other) throws IOException {
    int next = 0;
    for (int row = 0; row < moves.size(); row++) {
      boolean refers = next < referring.size() && referring.get(next).row == row;
      other.add(
          new Row(
              moves.line(row),
              moves.day(row),
              moves.item(row),
              moves.kind(row),
              moves.quantity(row),
              moves.value(row),
              moves.ref(row),
              refers ? referring.get(next++).target : ""));
    }
  }

  @Override
  public void link(Findings faults) {
    Names names = new Names(moves, faults);
    for (int row = 0; row < moves.size(); row++) names.take(row);
    for (Referring r : referring) {
      int at = names.meant(moves.line(r.row), moves.item(r.row), moves.kind(r.row), r.target);
      if (at >= 0) moves.refer(r.row, at);
    }
  }

  @Override
  public int parts() {
    return 1;
  }

  @Override
  public Moves part(int part) {
    return moves;
  }
}
