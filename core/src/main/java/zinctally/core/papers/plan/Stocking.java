package zinctally.core.papers.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Spot;
import zinctally.core.goods.Item;
import zinctally.core.goods.Lot;
import zinctally.core.goods.Tracking;
import zinctally.core.number.Money;
import zinctally.core.number.Quantity;
import zinctally.core.number.Spread;
import zinctally.core.papers.Place;
import zinctally.core.papers.consign.Taken;
import zinctally.core.papers.flow.Numbered;

/**
 * Gathers what the lines of a paper do to stock. A serial number is a layer of its own, so each has
 * its own event; a lot is quantity's business and only divides the moves.
 */
public final class Stocking {
  /** The first part of a line that belongs to goods of others; ours come before it. */
  public static final int OTHERS = 5_000;

  /** The part of a line with which goods stay here as a customer's. */
  private static final int KEPT = 20_000;

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
        Spot spot = new Spot(row, part);
        event(
            spot,
            EventKind.IN,
            item,
            one.quantity(),
            values[part],
            Plan.Target.NONE,
            contra,
            one.lot());
        move(spot, item, place, one.quantity(), one.lot());
      }
      return;
    }
    Spot spot = new Spot(row, 0);
    event(spot, EventKind.IN, item, micros, value, Plan.Target.NONE, contra, null);
    moves(spot, item, place, micros, 1, numbers);
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
        Spot spot = new Spot(row, part++);
        Plan.Target arrival = new Plan.Earlier(one.arrival());
        event(spot, EventKind.OUT, item, one.quantity(), 0, arrival, contra, one.lot());
        move(spot, item, place, -one.quantity(), one.lot());
      }
      return part;
    }
    Spot spot = new Spot(row, firstPart);
    event(spot, EventKind.OUT, item, micros, 0, Plan.Target.NONE, contra, null);
    moves(spot, item, place, micros, -1, numbers);
    return firstPart + 1;
  }

  /**
   * Goods that come in, when the quantity is above zero, or go out.
   *
   * @param micros signed
   * @param value of what comes in
   * @param contra account that bears the other side
   */
  public void upOrDown(
      int row,
      Item item,
      Place place,
      long micros,
      long value,
      long contra,
      List<Numbered> numbers) {
    if (micros > 0) in(row, item, place, micros, value, contra, numbers);
    else out(row, 0, item, place, -micros, contra, numbers);
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
    Spot spot = new Spot(row, part);
    @Nullable Lot lot = item.tracking() == Tracking.SERIAL ? numbers.get(0).lot() : null;
    event(spot, kind, item, micros, 0, new Plan.Earlier(target), contra, lot);
    moves(spot, item, place, micros, kind == EventKind.OUT ? -1 : 1, numbers);
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
    Plan.Target back = new Plan.Within(new Spot(row, part));
    Spot out = new Spot(row, Math.addExact(parts, part));
    @Nullable Lot lot = item.tracking() == Tracking.SERIAL ? numbers.get(0).lot() : null;
    event(out, EventKind.OUT, item, micros, 0, back, contra, lot);
    moves(out, item, place, micros, -1, numbers);
  }

  /** Goods that go from one place to another: no pool knows of it. */
  public void across(
      int row, Item item, Place from, Place into, long micros, List<Numbered> numbers) {
    moves(new Spot(row, 0), item, from, micros, -1, numbers);
    moves(new Spot(row, 1), item, into, micros, 1, numbers);
  }

  /** Goods that are not ours, which come in above zero and go out below: no pool knows of them. */
  public void others(int row, Item item, Place place, long micros, List<Numbered> numbers) {
    moves(new Spot(row, 0), item, place, Math.abs(micros), micros < 0 ? -1 : 1, numbers);
  }

  /** Goods that are a customer's from now on, and stay where they are. */
  public void kept(int row, Item item, Place place, long micros, List<Numbered> numbers) {
    moves(new Spot(row, KEPT), item, place, micros, 1, numbers);
  }

  /**
   * Goods of a supplier that leave: they come in as ours at what is owed for them, and leave at
   * that. What we do not bear only leaves.
   *
   * @param contra account that bears their cost
   * @return how many parts of the line have gone with these
   */
  public int taken(int row, int firstPart, Item item, Taken taken, long contra) {
    boolean serial = item.tracking() == Tracking.SERIAL;
    int parts = serial ? taken.numbers().size() : 1;
    long[] weights = new long[parts];
    for (int i = 0; i < parts; i++)
      weights[i] = serial ? taken.numbers().get(i).quantity() : taken.micros();
    long[] values = Spread.over(taken.value(), weights);
    for (int i = 0; i < parts; i++) {
      List<Numbered> numbers = serial ? List.of(taken.numbers().get(i)) : taken.numbers();
      @Nullable Lot lot = serial ? numbers.get(0).lot() : null;
      Spot in = new Spot(row, firstPart + 2 * i);
      moves(in, item, taken.from(), weights[i], -1, numbers);
      if (!taken.ours()) continue;
      Spot out = new Spot(row, firstPart + 2 * i + 1);
      event(in, EventKind.IN, item, weights[i], values[i], Plan.Target.NONE, 0, lot);
      moves(in, item, taken.into(), weights[i], 1, numbers);
      event(out, EventKind.OUT, item, weights[i], 0, new Plan.Within(in), contra, lot);
      moves(out, item, taken.into(), weights[i], -1, numbers);
    }
    return firstPart + 2 * parts;
  }

  /**
   * Goods that are an arrival of their own from now on, at the cost they have, so that something
   * can be added to it: they go out and come back at once.
   *
   * @param charge minor units added
   * @param contra account from which these are taken
   */
  public void anew(
      int row, Item item, long micros, long charge, long contra, List<Numbered> numbers) {
    boolean serial = item.tracking() == Tracking.SERIAL;
    int parts = serial ? numbers.size() : 1;
    long[] weights = new long[parts];
    for (int i = 0; i < parts; i++) weights[i] = serial ? numbers.get(i).quantity() : micros;
    long[] charges = Spread.over(charge, weights);
    for (int i = 0; i < parts; i++) {
      @Nullable Lot lot = serial ? numbers.get(i).lot() : null;
      Plan.Target arrival = serial ? new Plan.Earlier(numbers.get(i).arrival()) : Plan.Target.NONE;
      Spot out = new Spot(row, 3 * i);
      Spot back = new Spot(row, 3 * i + 1);
      event(out, EventKind.OUT, item, weights[i], 0, arrival, 0, lot);
      event(back, EventKind.BACK, item, weights[i], 0, new Plan.Within(out), 0, lot);
      if (charges[i] != 0)
        event(
            new Spot(row, 3 * i + 2),
            EventKind.CHARGE,
            item,
            0,
            charges[i],
            new Plan.Within(back),
            contra,
            null);
    }
  }

  /** Something that changes what an arrival is worth. */
  public void charge(
      int row, int part, long item, long value, long arrival, long contra, @Nullable LocalDate on) {
    events.add(
        new Plan.Event(
            new Spot(row, part),
            EventKind.CHARGE,
            item,
            Quantity.ZERO,
            new Money(value),
            new Plan.Earlier(arrival),
            contra,
            null,
            on,
            null));
  }

  private void event(
      Spot spot,
      EventKind kind,
      Item item,
      long micros,
      long value,
      Plan.Target target,
      long contra,
      @Nullable Lot lot) {
    Quantity quantity = new Quantity(micros);
    Money worth = new Money(value);
    events.add(
        new Plan.Event(spot, kind, item.id(), quantity, worth, target, contra, null, null, lot));
  }

  private void moves(
      Spot spot, Item item, Place place, long micros, int sign, List<Numbered> numbers) {
    if (numbers.isEmpty()) move(spot, item, place, sign * micros, null);
    for (Numbered of : numbers) move(spot, item, place, sign * of.quantity(), of.lot());
  }

  private void move(Spot spot, Item item, Place place, long micros, @Nullable Lot lot) {
    moves.add(new Plan.Move(spot, item.id(), place.id(), new Quantity(micros), null, lot));
  }
}
