package zinctally.core.cost;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import zinctally.core.Any;
import zinctally.core.Seeded;
import zinctally.core.number.Quantity;

class PoolPropertiesTest {
  /** A wish for an event; what a pool would refuse at that point is left out of the story. */
  record Wish(int kind, int quantity, long value, int pick) {}

  private static List<Wish> wishes(Any any) {
    return any.list(
        1,
        40,
        a -> new Wish(a.between(0, 9), a.between(1, 9), a.between(0L, 9999L), a.between(0, 99)));
  }

  @Seeded
  void value_in_is_value_out_plus_value_left(Any any) {
    Method method = any.of(Method.values());
    boolean mayGoShort = any.coin();
    any.holds(
        wishes(any),
        wishes -> {
          Recost recost = tell(wishes, method, mayGoShort).by(method, mayGoShort);
          long sum = recost.changes().stream().mapToLong(Recost.Change::after).sum();
          assertThat(recost.end().worth()).isEqualTo(sum);
        });
  }

  @Seeded
  void no_goods_no_value(Any any) {
    Method method = any.of(Method.values());
    boolean mayGoShort = any.coin();
    any.holds(
        wishes(any),
        wishes -> {
          PoolState end = tell(wishes, method, mayGoShort).by(method, mayGoShort).end();
          if (end.onHand() == 0) assertThat(end.worth()).isZero();
          assertThat(end.layers().isEmpty() || end.uncovered().isEmpty()).isTrue();
          assertThat(end.layers()).allMatch(l -> l.quantity() > 0 && l.value() >= 0);
        });
  }

  @Seeded
  void a_replay_from_a_checkpoint_is_a_replay_from_the_start(Any any) {
    Method method = any.of(Method.values());
    boolean mayGoShort = any.coin();
    int cut = any.between(0, 40);
    any.holds(wishes(any), wishes -> replaysFrom(cut, wishes, method, mayGoShort));
  }

  private static void replaysFrom(int cut, List<Wish> wishes, Method method, boolean mayGoShort) {
    List<Booked> events = tell(wishes, method, mayGoShort).fresh();
    Recost whole = replay(method, PoolState.EMPTY, mayGoShort, Past.NONE, List.of(), events);
    int at = Math.floorMod(cut, events.size() + 1);
    List<Booked> head = events.subList(0, at);
    PoolState half = replay(method, PoolState.EMPTY, mayGoShort, Past.NONE, List.of(), head).end();
    Map<Long, Long> values = new HashMap<>();
    whole.changes().forEach(c -> values.put(c.event().id(), c.after()));
    List<Booked> earlier =
        head.stream()
            .filter(b -> half.uncovered().stream().anyMatch(u -> u.out() == b.event().id()))
            .map(b -> booked(b, values))
            .toList();
    List<Booked> rest =
        events.subList(at, events.size()).stream().map(b -> booked(b, values)).toList();
    Recost again = replay(method, half, mayGoShort, past(head, values), earlier, rest);
    assertThat(again.changes()).isEmpty();
    assertThat(again.end()).isEqualTo(whole.end());
  }

  private static Booked booked(Booked fresh, Map<Long, Long> values) {
    return new Booked(fresh.event(), fresh.charges(), values.get(fresh.event().id()), false);
  }

  /** As a stock book would answer: from what is booked of the events before the cut. */
  private static Past past(List<Booked> head, Map<Long, Long> values) {
    return new Past() {
      @Override
      public Goods arrival(long id) {
        return head.stream()
            .filter(b -> b.event().id() == id && b.event().kind() == EventKind.IN)
            .map(b -> new Goods(b.event().quantity(), b.event().value() + b.charges()))
            .findFirst()
            .orElse(null);
      }

      @Override
      public Goods gone(long id) {
        long quantity = 0;
        long value = 0;
        for (Booked b : head) {
          boolean returns = b.event().kind() == EventKind.BACK && b.event().target() == id;
          if (b.event().id() == id) {
            quantity += b.event().quantity();
            value -= values.get(id);
          } else if (returns) {
            quantity -= b.event().quantity();
            value -= values.get(b.event().id());
          }
        }
        return new Goods(quantity, value);
      }
    };
  }

  private static Recost replay(
      Method method,
      PoolState start,
      boolean mayGoShort,
      Past past,
      List<Booked> earlier,
      List<Booked> events) {
    return Recost.of(new Pool(method, start, mayGoShort, past, Trace.SILENT), earlier, events, 0);
  }

  private static Story tell(List<Wish> wishes, Method method, boolean mayGoShort) {
    Story story = new Story();
    List<Long> arrivals = new ArrayList<>();
    List<Long> outs = new ArrayList<>();
    for (Wish wish : wishes) {
      List<Wish> soFar = List.of(wish);
      Story longer = copy(story);
      addWish(longer, soFar.get(0), arrivals, outs);
      try {
        longer.by(method, mayGoShort);
      } catch (CannotCost refused) {
        continue;
      }
      long id = longer.fresh().size();
      if (id > story.fresh().size()) {
        EventKind kind = longer.fresh().get((int) id - 1).event().kind();
        if (kind == EventKind.IN) arrivals.add(id);
        if (kind == EventKind.OUT) outs.add(id);
      }
      story = longer;
    }
    return story;
  }

  private static void addWish(Story story, Wish wish, List<Long> arrivals, List<Long> outs) {
    switch (wish.kind()) {
      case 0, 1, 2 -> story.in(wish.quantity(), wish.value());
      case 3, 4 -> story.out(wish.quantity());
      case 5 -> {
        if (!arrivals.isEmpty()) story.outOf(wish.quantity(), pick(arrivals, wish));
      }
      case 6, 7 -> {
        if (!outs.isEmpty()) story.back(wish.quantity(), pick(outs, wish));
      }
      case 8 -> {
        if (!arrivals.isEmpty()) story.charge(wish.value() - 3000, pick(arrivals, wish));
      }
      default -> story.revalue(wish.value() % 2 == 0 ? -wish.value() / 10 : wish.value() / 20);
    }
  }

  private static long pick(List<Long> from, Wish wish) {
    return from.get(wish.pick() % from.size());
  }

  private static Story copy(Story story) {
    Story copy = new Story();
    for (Booked booked : story.fresh()) {
      CostEvent e = booked.event();
      int quantity = (int) (e.quantity() / Quantity.ONE);
      switch (e.kind()) {
        case IN -> copy.in(quantity, e.value());
        case OUT -> copy.outOf(quantity, e.target());
        case BACK -> copy.back(quantity, e.target());
        case CHARGE -> copy.charge(e.value(), e.target());
        case REVALUE -> copy.revalue(e.value());
      }
    }
    return copy;
  }
}
