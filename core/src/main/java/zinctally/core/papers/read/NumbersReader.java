package zinctally.core.papers.read;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.goods.Lot;
import zinctally.core.goods.Tracking;
import zinctally.core.number.Quantity;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Draft;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Place;
import zinctally.core.papers.flow.Numbered;
import zinctally.core.units.Units;

/**
 * Reads which lots or serial numbers a line moves: {@code EX-101, EX-102}; a run as {@code 12 from
 * EX-0101}; a lot with its expiry and how much of the line it is, as {@code M-7 2027-05-31: 40}.
 */
public final class NumbersReader {
  private final Reader in;
  private final NumbersTyped typed = new NumbersTyped();

  private final Map<List<Long>, Long> lotTaken = new HashMap<>();

  public NumbersReader(Reader in) {
    this.in = in;
  }

  /**
   * What comes in with one row of a sheet.
   *
   * @param kind of the paper that has the sheet
   * @param micros of the row
   * @param fault takes what is wrong, as sentences; nothing is returned then
   */
  public static List<Numbered> arriving(
      PaperKind kind,
      Catalogue book,
      Item item,
      long micros,
      Place place,
      String typed,
      Consumer<String> fault) {
    Map<String, String> row = Map.of("numbers", typed);
    Reader alone = new Reader(new Draft(kind, Map.of(), List.of(row)), book);
    List<Numbered> given =
        new NumbersReader(alone).arriving(new RowReader(alone, 0), item, micros, place);
    alone.faults().forEach(f -> fault.accept(f.says()));
    return given == null || !alone.sound() ? List.of() : given;
  }

  /**
   * What comes in; null when something is wrong.
   *
   * @param micros of the line
   */
  public @Nullable List<Numbered> arriving(
      RowReader row, Item item, long micros, @Nullable Place place) {
    List<NumbersTyped.Entry> entries = entries(row, item, micros, List.of());
    if (entries == null) return null;
    Map<String, Catalogue.Kept> known = known(item, entries);
    List<Numbered> numbers = new ArrayList<>();
    for (NumbersTyped.Entry entry : entries) {
      Catalogue.Kept kept = known.get(key(entry.code()));
      if (kept != null && item.tracking() == Tracking.SERIAL && kept.onHand() > 0)
        fault(row, entry.code() + " is here already: " + kept.whereabouts() + ".");
      if (kept != null
          && entry.expiry() != null
          && kept.lot().expiry() != null
          && !kept.lot().expiry().equals(entry.expiry()))
        fault(
            row,
            "Lot " + entry.code() + " expires on " + kept.lot().expiry() + ", as it came before.");
      Lot lot = kept == null ? new Lot(0, item.id(), entry.code(), entry.expiry()) : kept.lot();
      if (kept == null
          && entry.expiry() != null
          && entry.expiry().isBefore(in.book.rules().today()))
        row.note("numbers", "Lot " + entry.code() + " expired on " + entry.expiry() + ".");
      numbers.add(new Numbered(lot, entry.micros(), 0));
    }
    return numbers;
  }

  /**
   * What comes in or leaves by the sign of the quantity; null when something is wrong.
   *
   * @param micros of the line, signed
   */
  public @Nullable List<Numbered> upOrDown(RowReader row, Item item, long micros, Place place) {
    return micros > 0 ? arriving(row, item, micros, place) : leaving(row, item, -micros, place);
  }

  /** What leaves a place; null when something is wrong. */
  public @Nullable List<Numbered> leaving(
      RowReader row, Item item, long micros, @Nullable Place place) {
    return leaving(row, item, micros, place, Set.of());
  }

  /**
   * @param only ids of those that are offered when none is named; empty for all at the place
   */
  public @Nullable List<Numbered> leaving(
      RowReader row, Item item, long micros, @Nullable Place place, Set<Long> only) {
    List<Place> places = place == null ? List.of() : List.of(place);
    List<NumbersTyped.Entry> entries = entries(row, item, micros, offered(row, item, places, only));
    if (entries == null) return null;
    Map<String, Catalogue.Kept> known = known(item, entries);
    List<Numbered> numbers = new ArrayList<>();
    for (NumbersTyped.Entry entry : entries) {
      Catalogue.Kept kept = leaves(row, item, entry, known);
      if (kept == null) continue;
      if (place != null && left(kept, place) < entry.micros())
        notThere(row, item, entry, kept, place);
      take(kept, place, entry.micros());
      numbers.add(new Numbered(kept.lot(), entry.micros(), kept.arrival()));
    }
    return numbers;
  }

  /**
   * What leaves one of several places, by where it is; nothing when something is wrong.
   *
   * @param places in the order in which they are looked at
   */
  public Map<Place, List<Numbered>> leavingFrom(
      RowReader row, Item item, long micros, List<Place> places) {
    List<NumbersTyped.Entry> entries =
        entries(row, item, micros, offered(row, item, places, Set.of()));
    Map<Place, List<Numbered>> numbers = new LinkedHashMap<>();
    if (entries == null) return numbers;
    Map<String, Catalogue.Kept> known = known(item, entries);
    for (NumbersTyped.Entry entry : entries) {
      Catalogue.Kept kept = leaves(row, item, entry, known);
      if (kept == null) continue;
      long wanted = entry.micros();
      for (Place place : places) {
        long some = Math.min(wanted, left(kept, place));
        if (some <= 0) continue;
        take(kept, place, some);
        numbers
            .computeIfAbsent(place, p -> new ArrayList<>())
            .add(new Numbered(kept.lot(), some, kept.arrival()));
        wanted -= some;
      }
      if (wanted > 0) notThere(row, item, entry, kept, places.get(0));
    }
    return numbers;
  }

  /** Some of what is at the places, for who names none. */
  private List<Catalogue.Kept> offered(
      RowReader row, Item item, List<Place> places, Set<Long> only) {
    if (!row.cell("numbers").isEmpty()) return List.of();
    return places.stream()
        .flatMap(
            p -> in.book.lotsAt(item.id(), p.id(), only.isEmpty() ? 6 : NumbersTyped.MOST).stream())
        .filter(k -> only.isEmpty() || only.contains(k.lot().id()))
        .limit(6)
        .toList();
  }

  /** What is known of a number that leaves; null, and said so, when it cannot. */
  private Catalogue.@Nullable Kept leaves(
      RowReader row, Item item, NumbersTyped.Entry entry, Map<String, Catalogue.Kept> known) {
    Catalogue.Kept kept = known.get(key(entry.code()));
    if (kept == null) {
      String word = item.tracking() == Tracking.SERIAL ? "serial number " : "lot ";
      fault(row, "No " + word + entry.code() + " of " + item.name() + " has ever come in.");
      return null;
    }
    LocalDate leaves = leaves();
    if (leaves != null && kept.since() != null && leaves.isBefore(kept.since()))
      fault(
          row, entry.code() + " came on " + kept.since() + "; it cannot leave on " + leaves + ".");
    return kept;
  }

  private long left(Catalogue.Kept kept, Place place) {
    return kept.at().getOrDefault(place.id(), 0L)
        - lotTaken.getOrDefault(List.of(kept.lot().id(), place.id()), 0L);
  }

  private void take(Catalogue.Kept kept, @Nullable Place place, long micros) {
    if (place != null) lotTaken.merge(List.of(kept.lot().id(), place.id()), micros, Long::sum);
  }

  private void notThere(
      RowReader row, Item item, NumbersTyped.Entry entry, Catalogue.Kept kept, Place place) {
    fault(
        row,
        item.tracking() == Tracking.SERIAL
            ? entry.code() + " is not at " + place.name() + ": " + kept.whereabouts() + "."
            : place.name()
                + " has "
                + item.units().say(new Quantity(Math.max(0, left(kept, place))))
                + " of lot "
                + entry.code()
                + "; "
                + kept.whereabouts()
                + ".");
  }

  /** The paper's day; null while it is not right. */
  private @Nullable LocalDate leaves() {
    LocalDate today = in.book.rules().today();
    return Days.read(in.draft.field("date"), today, today).orElse(null);
  }

  /**
   * What comes back that has gone before; null when something is wrong. Whether it went with that
   * paper is for the caller.
   */
  public @Nullable List<Numbered> returning(RowReader row, Item item, long micros) {
    List<NumbersTyped.Entry> entries = entries(row, item, micros, List.of());
    if (entries == null) return null;
    Map<String, Catalogue.Kept> known = known(item, entries);
    List<Numbered> numbers = new ArrayList<>();
    for (NumbersTyped.Entry entry : entries) {
      Catalogue.Kept kept = known.get(key(entry.code()));
      if (kept == null) fault(row, entry.code() + " has never been here.");
      else if (item.tracking() == Tracking.SERIAL && kept.onHand() > 0)
        fault(row, entry.code() + " is here already: " + kept.whereabouts() + ".");
      else numbers.add(new Numbered(kept.lot(), entry.micros(), kept.arrival()));
    }
    return numbers;
  }

  private void fault(RowReader row, String says) {
    row.fault("numbers", says);
  }

  static String key(String code) {
    return code.toLowerCase(Locale.ROOT);
  }

  private Map<String, Catalogue.Kept> known(Item item, List<NumbersTyped.Entry> entries) {
    Map<String, Catalogue.Kept> known = new HashMap<>();
    in.book
        .lots(item.id(), entries.stream().map(NumbersTyped.Entry::code).toList())
        .forEach(kept -> known.put(key(kept.lot().code()), kept));
    return known;
  }

  /** What is given; says how much that is, and what is wrong when it is not all of the line. */
  private @Nullable List<NumbersTyped.Entry> entries(
      RowReader row, Item item, long micros, List<Catalogue.Kept> offered) {
    int before = in.faults().size();
    boolean serial = item.tracking() == Tracking.SERIAL;
    if (serial && micros % Quantity.ONE != 0) {
      row.fault("quantity", "What has serial numbers is counted in whole pieces.");
      return null;
    }
    List<NumbersTyped.Entry> entries = typed.parsed(row, item, micros);
    long given = entries.stream().mapToLong(NumbersTyped.Entry::micros).sum();
    Units units = item.units();
    String of = units.say(new Quantity(given)) + " of " + units.say(new Quantity(micros));
    row.beside("given", of + " given");
    if (in.faults().size() > before || given == micros) return complete(entries);
    String asked = serial ? "serial numbers" : "lots";
    if (entries.isEmpty())
      fault(
          row,
          "Which "
              + asked
              + "? "
              + (offered.isEmpty() ? NumbersTyped.howTo(serial) : here(offered)));
    else
      fault(
          row,
          of + " are given; " + (given < micros ? "the rest is missing." : "that is too many."));
    return complete(entries);
  }

  private static List<NumbersTyped.Entry> complete(List<NumbersTyped.Entry> entries) {
    return entries.stream().filter(e -> e.micros() != 0).toList();
  }

  private static String here(List<Catalogue.Kept> offered) {
    List<String> words =
        offered.stream()
            .map(
                k ->
                    k.lot().code()
                        + (k.lot().expiry() == null ? "" : " (" + k.lot().expiry() + ")"))
            .toList();
    return "Here are " + String.join(", ", words) + (words.size() < 6 ? "." : " and more.");
  }
}
