package zinctally.core.papers.consign;

import static zinctally.core.papers.read.Reader.known;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.number.Share;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Party;
import zinctally.core.papers.Place;
import zinctally.core.papers.Standing;
import zinctally.core.papers.flow.Awaited;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Flow;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.papers.read.Margin;
import zinctally.core.papers.read.NumbersReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/**
 * Says whose goods leave a place: ours first, then those on consignment there, those that came
 * first first; unless a place of theirs, a serial number or a lot says otherwise. A new version of
 * a paper keeps what it took of others' as long as it takes as much.
 */
public final class Taking {
  private final Reader in;
  private final @Nullable LocalDate date;
  private final NumbersReader numbers;
  private final Map<List<Long>, Long> gone = new HashMap<>();

  public Taking(Reader in, @Nullable LocalDate date, NumbersReader numbers) {
    this.in = in;
    this.date = date;
    this.numbers = numbers;
  }

  /**
   * Goods that leave together.
   *
   * @param numbers lots or serial numbers of ours
   * @param taken what of them is others'
   */
  public record Leaving(List<Numbered> numbers, List<Taken> taken) {
    public static final Leaving NOTHING = new Leaving(List.of(), List.of());
  }

  /** Some of what leaves, by where it is. */
  private record Part(Place from, long micros, List<Numbered> numbers) {}

  /**
   * @param micros millionths that leave
   * @param price what they bring; gives null while that is not known, as when they are lost
   */
  public Leaving leaving(
      RowReader row,
      Item item,
      @Nullable Place place,
      long micros,
      Supplier<@Nullable Price> price) {
    if (micros <= 0 || !item.stocked() || place == null) return Leaving.NOTHING;
    List<Catalogue.Consigned> theirs = consigned(row, item, place);
    if (theirs.isEmpty())
      return item.tracked()
          ? new Leaving(given(numbers.leaving(row, item, micros, place)), List.of())
          : Leaving.NOTHING;
    List<Part> parts =
        item.tracked()
            ? tracked(row, item, place, micros, theirs)
            : untracked(item, place, micros, theirs);
    List<Numbered> ours = new ArrayList<>();
    List<Taken> taken = new ArrayList<>();
    Price all = null;
    for (Part part : parts) {
      if (part.from.ours()) ours.addAll(part.numbers);
      else {
        if (all == null) all = price.get();
        Price of = all == null ? null : all.of(part.micros, micros);
        taken(row, item, part, of).ifPresent(taken::add);
      }
    }
    return new Leaving(ours, taken);
  }

  private static List<Numbered> given(@Nullable List<Numbered> numbers) {
    return numbers == null ? List.of() : numbers;
  }

  private List<Catalogue.Consigned> consigned(RowReader row, Item item, Place place) {
    if (date == null) return List.of();
    if (place.ours()) return place.isPlain() ? in.book.consigned(item.id(), place) : List.of();
    if (place.whose().kind() != Party.Kind.SUPPLIER || !place.standing().isGood()) {
      row.fault(
          "place",
          "What is at "
              + place.name()
              + " is not sold; a transfer puts it in the standing "
              + Standing.GOOD.name()
              + ".");
      return List.of();
    }
    return List.of(new Catalogue.Consigned(place, in.book.onHand(item.id(), place, date), 0));
  }

  /** Ours first, less what the version before took of others'. */
  private List<Part> untracked(
      Item item, Place place, long micros, List<Catalogue.Consigned> theirs) {
    Map<Place, Long> of = new LinkedHashMap<>();
    long left = micros;
    if (!place.ours()) {
      of.put(place, micros);
      left = 0;
    }
    for (Catalogue.Consigned one : theirs)
      left -= some(of, item, one.at(), Math.min(one.before(), left));
    long ours =
        place.ours() ? in.book.onHand(item.id(), place, known(date)) - gone(item, place) : 0;
    long own = Math.max(0, Math.min(ours, left));
    left -= own;
    for (Catalogue.Consigned one : theirs)
      left -= some(of, item, one.at(), Math.min(one.micros() - gone(item, one.at()), left));
    own += left;
    if (own > 0) {
      gone.merge(List.of(item.id(), place.id()), own, Math::addExact);
      of.put(place, own);
    }
    return of.entrySet().stream().map(e -> new Part(e.getKey(), e.getValue(), List.of())).toList();
  }

  private long some(Map<Place, Long> of, Item item, Place from, long micros) {
    if (micros <= 0) return 0;
    of.merge(from, micros, Math::addExact);
    gone.merge(List.of(item.id(), from.id()), micros, Math::addExact);
    return micros;
  }

  private long gone(Item item, Place place) {
    return gone.getOrDefault(List.of(item.id(), place.id()), 0L);
  }

  private List<Part> tracked(
      RowReader row, Item item, Place place, long micros, List<Catalogue.Consigned> theirs) {
    List<Place> places = new ArrayList<>();
    if (place.ours()) places.add(place);
    theirs.forEach(t -> places.add(t.at()));
    return numbers.leavingFrom(row, item, micros, places).entrySet().stream()
        .map(
            e ->
                new Part(
                    e.getKey(),
                    e.getValue().stream().mapToLong(Numbered::quantity).sum(),
                    e.getValue()))
        .toList();
  }

  private Optional<Taken> taken(RowReader row, Item item, Part part, @Nullable Price price) {
    if (date == null) return Optional.empty();
    Party owner = part.from.whose();
    Optional<Terms> terms = in.book.terms(owner.id(), item.id(), date);
    if (terms.isEmpty()) {
      row.fault("item", missing(item, owner, date));
      return Optional.empty();
    }
    boolean lost = in.draft.kind().side().isEmpty();
    boolean ours = !lost || terms.get().lossOurs();
    if (ours && terms.get().ofPrice() && price == null) {
      if (row.sound())
        row.fault(
            "price",
            owner.name()
                + " has a share of the price of "
                + item.name()
                + ", and it has none; give it one under Prices first.");
      return Optional.empty();
    }
    Price of = price == null ? new Price(0, 0) : price;
    long owed =
        ours ? terms.get().cost(in.book.rules().coin(), part.micros, of.gross(), of.net()) : 0;
    row.note("item", note(item, owner, part.micros, owed, terms.get(), ours));
    return Optional.of(
        new Taken(
            part.from,
            owner,
            in.book.as(part.from, Standing.GOOD, null),
            part.micros,
            owed,
            ours,
            part.numbers));
  }

  /**
   * What goods that go before their invoice should bring: what was invoiced ahead, what an order
   * says, else the list's price; null when there is none.
   */
  public @Nullable Price expected(
      Item item,
      @Nullable Party who,
      long micros,
      List<Flow.Portion> invoiced,
      List<Flow.Portion> ordered) {
    long net = 0;
    long left = micros;
    for (Flow.Portion one : invoiced) {
      net = Math.addExact(net, one.value());
      left -= one.quantity();
    }
    for (Flow.Portion one : ordered) {
      Awaited.Order order = one.of().order();
      if (order.quantity() == 0) continue;
      net = Math.addExact(net, Share.of(order.net(), one.quantity(), order.quantity()));
      left -= one.quantity();
    }
    if (left <= 0) return new Price(net, net);
    Price list = listed(item, who, left);
    return list == null ? null : new Price(net + list.gross(), net + list.net());
  }

  /** What the list says; null when it says nothing. */
  public @Nullable Price listed(Item item, @Nullable Party who, long micros) {
    if (date == null) return null;
    return in.book
        .listPrice(item, who == null ? 0 : who.id(), micros, date, null)
        .map(p -> in.book.rules().coin().rounded(p.each().multiply(new Quantity(micros).decimal())))
        .map(all -> new Price(all, all))
        .orElse(null);
  }

  /**
   * What is owed otherwise for consigned goods that went before, now that their price is known.
   *
   * @param named what the earlier papers' lines wait for
   * @param price of all of the line
   * @param micros millionths of the line
   */
  public List<Restated> restated(
      List<Awaited> named, List<Flow.Portion> before, Price price, long micros) {
    List<Restated> restated = new ArrayList<>();
    for (Flow.Portion sent : before)
      for (Awaited owed : named)
        if (owed.what() == Awaits.CONSIGNED_SOLD
            && owed.paper() == sent.of().paper()
            && owed.line() == sent.of().line()
            && owed.quantity() > 0) restated(owed, sent, price, micros).ifPresent(restated::add);
    return restated;
  }

  private Optional<Restated> restated(Awaited owed, Flow.Portion sent, Price price, long micros) {
    Optional<Terms> terms = in.book.terms(owed.party(), owed.item().id(), owed.date());
    if (terms.isEmpty() || !terms.get().ofPrice()) return Optional.empty();
    long part = Share.of(owed.quantity(), sent.quantity(), sent.of().quantity());
    Price of = price.of(part, micros);
    long now = terms.get().cost(in.book.rules().coin(), part, of.gross(), of.net());
    long difference = now - Share.of(owed.value(), part, owed.quantity());
    return difference == 0 ? Optional.empty() : Optional.of(new Restated(owed, difference));
  }

  private String note(Item item, Party owner, long micros, long owed, Terms terms, boolean ours) {
    String many = item.units().say(new Quantity(micros));
    return many
        + " of "
        + item.name()
        + " "
        + (micros == Quantity.ONE ? "is " : "are ")
        + owner.name()
        + "'s"
        + (ours
            ? Margin.OWED + in.say(owed) + " (" + terms.says(in.book.rules().coin()) + ")."
            : "; they bear what is lost.");
  }

  /** That nothing is agreed about goods on a day. */
  public static String missing(Item item, Party owner, LocalDate date) {
    return "Nothing is agreed with "
        + owner.name()
        + " about "
        + item.name()
        + " on "
        + date
        + "; write an agreement of that day or earlier first.";
  }
}
