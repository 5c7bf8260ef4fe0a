package zinctally.store.posting;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import zinctally.core.cost.Across;
import zinctally.core.cost.CostEvent;
import zinctally.core.cost.EventKind;
import zinctally.core.cost.Making;
import zinctally.core.cost.Position;
import zinctally.core.cost.Recost;
import zinctally.core.goods.Item;
import zinctally.core.papers.plan.MakingPlan;
import zinctally.store.book.BookCatalogue;
import zinctally.store.cost.PoolHead;
import zinctally.store.cost.PoolStore;

/** Replays the pools a job touches, and those of whatever was made of their goods. */
@Component
class Settling {
  private final PoolStore pools;
  private final Replaying replaying;
  private final Makings makings;

  Settling(PoolStore pools, Replaying replaying, Makings makings) {
    this.pools = pools;
    this.replaying = replaying;
    this.makings = makings;
  }

  /**
   * What came of it.
   *
   * @param pools of each item worked out: how it stood, and how it stands in the end
   * @param items of the job and all that were reached
   * @param making what the job itself makes; null for nothing
   * @param remade minor units of what was made before and comes out differently, by event
   */
  record Settled(
      Map<Long, Pool> pools,
      Map<Long, Item> items,
      @Nullable Making making,
      Map<Long, Long> remade) {}

  record Pool(PoolHead before, Replaying.Run run) {}

  /**
   * @param held ids of the items that are held; null for a proof
   * @throws Holding.LookAgain when others are reached
   */
  Settled settle(Worker.Job job, Placing placing, BookCatalogue book, @Nullable Set<Long> held) {
    Reach reach = new Reach(job, placing, book, held);
    Set<Long> items = new TreeSet<>(placing.items());
    items.addAll(job.plan().again());
    reach.begin(pools.heads(items));
    Making making = reach.making;
    if (making != null) making.results().forEach(r -> items.remove(r.item()));
    Map<Long, Long> values = new HashMap<>(Across.settle(items, reach).values());
    Map<Long, Pool> done = new LinkedHashMap<>();
    for (long item : new TreeSet<>(reach.runs.keySet()))
      done.put(item, new Pool(reach.head(item), Objects.requireNonNull(reach.runs.get(item))));
    if (making != null) making.results().forEach(r -> values.remove(r.event()));
    return new Settled(done, reach.items, making, values);
  }

  /** What the job itself makes, by the ids its events have got; null for nothing. */
  private static @Nullable Making making(Worker.Job job, Placing placing) {
    MakingPlan planned = job.plan().making();
    if (planned == null) return null;
    List<Making.Component> components = new ArrayList<>();
    List<Making.Result> results = new ArrayList<>();
    for (long item : placing.items())
      for (Placing.Placed placed : placing.added(item)) {
        CostEvent event = placed.booked().event();
        OptionalLong weight = planned.weight(item, event.at().spot());
        if (event.kind() == EventKind.OUT)
          components.add(new Making.Component(item, event.id(), null));
        else if (weight.isPresent())
          results.add(new Making.Result(item, event.id(), weight.getAsLong(), null));
      }
    return new Making(components, planned.charges(), results);
  }

  private final class Reach implements Across.Pools {
    private final Worker.Job job;
    private final Placing placing;
    private final BookCatalogue book;
    private final @Nullable Set<Long> held;
    private final @Nullable Making making;
    private final Map<Long, PoolHead> heads = new HashMap<>();
    private final Map<Long, Item> items;
    private final Map<Long, Replaying.Run> runs = new HashMap<>();
    private final Histories histories = new Histories(pools);

    Reach(Worker.Job job, Placing placing, BookCatalogue book, @Nullable Set<Long> held) {
      this.job = job;
      this.placing = placing;
      this.book = book;
      this.held = held;
      making = making(job, placing);
      items = new HashMap<>(job.items());
    }

    void begin(Map<Long, PoolHead> all) {
      heads.putAll(all);
      all.forEach(
          (item, head) -> {
            Position first = placing.first(item);
            if (first != null && Replaying.reachesBack(head, first))
              histories.willBeAsked(item, first);
          });
    }

    @Override
    public Recost recost(long item, Map<Long, Long> values) {
      if (held != null && !held.contains(item)) throw new Holding.LookAgain(Set.of(item));
      if (!items.containsKey(item)) items.putAll(book.items(List.of(item)));
      Item goods = Objects.requireNonNull(items.get(item));
      Replaying.Run run = replaying.replay(job, goods, head(item), placing, histories, values);
      runs.put(item, run);
      return run.recost();
    }

    PoolHead head(long item) {
      return heads.computeIfAbsent(item, pools::head);
    }

    @Override
    public Collection<Making> madeOf(long item, Recost recost) {
      List<Making> made = new ArrayList<>();
      for (Makings.Posted posted : makings.of(item, moved(item, recost))) {
        posted.making().results().forEach(r -> placing.touch(r.item(), posted.of(r)));
        made.add(posted.making());
      }
      if (making != null && making.components().stream().anyMatch(c -> c.item() == item))
        made.add(making);
      return made;
    }

    /** Events of before whose cost may have changed. */
    private Collection<Long> moved(long item, Recost recost) {
      if (job.plan().again().contains(item)) return recost.values().keySet();
      return recost.changes().stream()
          .filter(c -> !c.fresh() && c.event().kind() == EventKind.OUT)
          .map(c -> c.event().id())
          .toList();
    }
  }
}
