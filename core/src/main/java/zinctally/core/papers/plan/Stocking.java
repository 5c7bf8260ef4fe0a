package zinctally.core.papers.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import zinctally.core.cost.EventKind;
import zinctally.core.goods.Item;
import zinctally.core.goods.Lot;
import zinctally.core.goods.Tracking;
import zinctally.core.number.Spread;
import zinctally.core.papers.Place;
import zinctally.core.papers.flow.Numbered;

/**
 * Gathers what the lines of a paper do to stock. A serial number is a layer of its own, so each has
 * its own event; a lot is quantity's business and only divides the moves.
 */
public final class Stocking {
  public final List<Plan.Event> events = new ArrayList<>();
  public final List<Plan.Move> moves = new ArrayList<>();

  /**
   * Goods that come in.
   *
   * @param contra account that bears the other side; zero when the paper's lines do
   */
  public void in(
      int row,
      Item item,
      Place place,
      long micros,
      long value,
      long contra,
      List<Numbered> numbers) {
    if (item.tracking() == Tracking.SERIAL) {
      long[] values = Spread.over(value, numbers.stream().mapToLong(Numbered::quantity).toArray());
      for (int part = 0; part < numbers.size(); part++) {
        Numbered one = numbers.get(part);
        long line = row + part * Plan.PART;
        event(line, EventKind.IN, item, one.quantity(), values[part], 0, contra, null, one.lot());
        move(line, item, place, one.quantity(), one.lot());
      }
      return;
    }
    event(row, EventKind.IN, item, micros, value, 0, contra, null, null);
    moves(row, item, place, micros, 1, numbers);
  }

  /**
   * Goods that go out, at the cost the pool gives.
   *
   * @param firstPart how many parts of the line have gone before
   * @return how many have gone with these
   */
  public int out(
      int row,
      int firstPart,
      Item item,
      Place place,
      long micros,
      long contra,
      List<Numbered> numbers) {
    if (micros == 0) return firstPart;
    if (item.tracking() == Tracking.SERIAL) {
      int part = firstPart;
      for (Numbered one : numbers) {
        long line = row + part++ * Plan.PART;
        event(line, EventKind.OUT, item, one.quantity(), 0, one.arrival(), contra, null, one.lot());
        move(line, item, place, -one.quantity(), one.lot());
      }
      return part;
    }
    long line = row + firstPart * Plan.PART;
    event(line, EventKind.OUT, item, micros, 0, 0, contra, null, null);
    moves(line, item, place, micros, -1, numbers);
    return firstPart + 1;
  }

  /** Goods that go back to where they came from: out of an arrival, or back from a sale. */
  public void back(
      int row,
      int part,
      EventKind kind,
      Item item,
      Place place,
      long micros,
      long target,
      long contra,
      List<Numbered> numbers) {
    long line = row + part * Plan.PART;
    Lot lot = item.tracking() == Tracking.SERIAL ? numbers.get(0).lot() : null;
    event(line, kind, item, micros, 0, target, contra, null, lot);
    moves(line, item, place, micros, kind == EventKind.OUT ? -1 : 1, numbers);
  }

  /**
   * What came back with a part of a line goes out again, at the cost at which it came back.
   *
   * @param parts of the line
   * @param contra account that bears it
   */
  public void outAgain(
      int row,
      int part,
      int parts,
      Item item,
      Place place,
      long micros,
      long contra,
      List<Numbered> numbers) {
    long back = row + part * Plan.PART;
    long out = row + (parts + part) * Plan.PART;
    Lot lot = item.tracking() == Tracking.SERIAL ? numbers.get(0).lot() : null;
    event(out, EventKind.OUT, item, micros, 0, Plan.Event.targetInPlan(back), contra, null, lot);
    moves(out, item, place, micros, -1, numbers);
  }

  /** Something that changes what an arrival is worth. */
  public void charge(
      int row, int part, long item, long value, long arrival, long contra, LocalDate on) {
    events.add(
        new Plan.Event(
            row + part * Plan.PART,
            EventKind.CHARGE,
            item,
            0,
            value,
            arrival,
            contra,
            null,
            on,
            null));
  }

  private void event(
      long line,
      EventKind kind,
      Item item,
      long micros,
      long value,
      long target,
      long contra,
      LocalDate on,
      Lot lot) {
    events.add(new Plan.Event(line, kind, item.id(), micros, value, target, contra, null, on, lot));
  }

  private void moves(
      long line, Item item, Place place, long micros, int sign, List<Numbered> numbers) {
    if (numbers.isEmpty()) move(line, item, place, sign * micros, null);
    for (Numbered of : numbers) move(line, item, place, sign * of.quantity(), of.lot());
  }

  private void move(long line, Item item, Place place, long micros, Lot lot) {
    moves.add(new Plan.Move(line, item.id(), place.id(), micros, null, lot));
  }
}
