package zinctally.store.moves;

import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import zinctally.core.moves.Costing;
import zinctally.core.moves.Moves;

/** A row for each input row, in input order; some thousands of them are made at a time. */
final class CostRows implements Costs {
  private static final int BLOCK = 8192;
  private static final int AT_ONCE = 16;
  private final List<String> items;
  private final int digits;
  private @Nullable Moves moves;
  private @Nullable Costing costing;

  CostRows(List<String> items, int digits) {
    this.items = items.stream().map(RowText::quoted).toList();
    this.digits = digits;
  }

  @Override
  public void take(int part, Moves all, Costing cost) {
    moves = all;
    costing = cost;
  }

  @Override
  public void write(OutputStream out) throws IOException {
    Moves all = Objects.requireNonNull(moves);
    Costing cost = Objects.requireNonNull(costing);
    out.write(RowText.HEAD);
    int blocks = (all.size() + BLOCK - 1) / BLOCK;
    for (int from = 0; from < blocks; from += AT_ONCE) {
      List<Line> made =
          IntStream.range(from, Math.min(blocks, from + AT_ONCE))
              .parallel()
              .mapToObj(block -> block(all, cost, block))
              .toList();
      for (Line block : made) block.writeTo(out);
    }
    out.flush();
  }

  private Line block(Moves all, Costing cost, int block) {
    int end = Math.min(all.size(), (block + 1) * BLOCK);
    Line text = new Line(BLOCK * 80);
    RowText rows = new RowText(all, cost, items, digits);
    for (int row = block * BLOCK; row < end; row++) rows.add(row, text);
    return text;
  }
}
