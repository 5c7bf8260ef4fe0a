package zinctally.web.picture;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import zinctally.core.number.Quantity;
import zinctally.core.units.Units;
import zinctally.store.goods.LadderStore;
import zinctally.web.shell.Say;

/**
 * The layer ladder: a row for each arrival, a bar for each paper that took of it, brass for what is
 * left.
 */
public record LadderPicture(List<Row> rows, int height) {
  private static final int LEFT = 236;
  private static final int WIDTH = 540;
  private static final int STEP = 32;

  /** One arrival. */
  public record Row(String label, String each, int y, List<Bar> bars) {}

  /** A part of an arrival. */
  public record Bar(double x, double width, String text, String title, boolean left, String href) {}

  /** Lengths are in proportion to quantities, the longest arrival taking the whole width. */
  public static LadderPicture of(List<LadderStore.Rung> rungs, Units units, Say say) {
    return of(
        rungs, units, r -> say.each(r.value(), r.quantity()), d -> ", " + say.money(d.value()));
  }

  /** The same of goods that have no cost here. */
  public static LadderPicture of(List<LadderStore.Rung> rungs, Units units) {
    return of(rungs, units, r -> "", d -> "");
  }

  private static LadderPicture of(
      List<LadderStore.Rung> rungs,
      Units units,
      Function<LadderStore.Rung, String> each,
      Function<LadderStore.Draw, String> value) {
    double most = rungs.stream().mapToLong(LadderStore.Rung::quantity).max().orElse(1);
    List<Row> rows = new ArrayList<>();
    int y = 0;
    for (LadderStore.Rung rung : rungs) {
      List<Bar> bars = new ArrayList<>();
      double x = LEFT;
      for (LadderStore.Draw draw : rung.draws()) {
        double width = WIDTH * draw.quantity() / most;
        String number = draw.paper().number();
        bars.add(
            new Bar(
                x,
                Math.max(1, width - 1.5),
                width > 62 ? shortened(number) : "",
                number + " took " + units.say(new Quantity(draw.quantity())) + value.apply(draw),
                false,
                "/papers/" + draw.paper().id()));
        x += width;
      }
      if (rung.left() > 0) {
        double width = WIDTH * rung.left() / most;
        String left = units.say(new Quantity(rung.left())) + " left";
        bars.add(
            new Bar(
                x,
                Math.max(1, width - 1.5),
                width > 7.2 * left.length() ? left : "",
                left,
                true,
                "/papers/" + rung.paper().id()));
      }
      rows.add(
          new Row(
              (rung.back() ? "Back, " : "") + rung.paper().number() + ", " + rung.paper().date(),
              each.apply(rung),
              y,
              bars));
      y += STEP;
    }
    return new LadderPicture(rows, y);
  }

  /** {@code INV-2026-0042} as {@code INV-42}. */
  private static String shortened(String number) {
    return number.replaceAll("-\\d{4}-0*", "-");
  }
}
