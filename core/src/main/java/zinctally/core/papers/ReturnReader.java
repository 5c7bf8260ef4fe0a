package zinctally.core.papers;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zinctally.core.goods.Item;
import zinctally.core.number.Quantity;
import zinctally.core.number.Share;
import zinctally.core.units.Units;

/** Reads a return, line by line against the paper the goods came or went with. */
final class ReturnReader {
  private ReturnReader() {}

  static Reading goesBack(Reader in) {
    boolean toSupplier = in.draft.kind() == PaperKind.SUPPLIER_RETURN;
    LocalDate date = in.date();
    Party who =
        in.party(
            toSupplier ? "supplier" : "customer",
            toSupplier ? Party.Kind.SUPPLIER : Party.Kind.CUSTOMER);
    String reference = in.text("reference");
    String reason = in.text("reason");
    Place place = in.place("place", in.draft.field("place"));
    List<Return.Line> lines = new ArrayList<>();
    Map<Long, Long> taken = new HashMap<>();
    for (int row = 0; row < in.draft.rows().size(); row++) {
      if (in.draft.blank(row)) continue;
      Return.Line line = line(in, row, toSupplier, who, date, taken);
      if (line != null) lines.add(line);
    }
    if (lines.isEmpty() && in.faults.isEmpty())
      in.fault(
          "rows.0.paper",
          toSupplier
              ? "There is no line yet: which bill, which item, how many."
              : "There is no line yet: which invoice, which item, how many.");
    return in.done(
        () -> new Return(in.draft.kind(), date, who, reference, reason, place, List.copyOf(lines)));
  }

  private static Return.Line line(
      Reader in, int row, boolean toSupplier, Party who, LocalDate date, Map<Long, Long> taken) {
    int faultsBefore = in.faults.size();
    Optional<Traded> of = traded(in, row, toSupplier, who, date);
    Item item = of.map(Traded::item).orElse(null);
    Units.Typed quantity = item == null ? null : in.quantity(row, item.units());
    if (item == null || quantity == null) return null;
    long micros = quantity.quantity().micros();
    if (micros <= 0) {
      in.faults.add(Fault.at(row, "quantity", "How many come back? Above zero."));
      return null;
    }
    Traded line = of.get();
    long left = line.returnable() - taken.getOrDefault(line.event(), 0L);
    if (micros > left)
      in.faults.add(
          Fault.at(
              row,
              "quantity",
              item.units().say(new Quantity(Math.max(0, left)))
                  + " of "
                  + item.name()
                  + " on "
                  + line.number()
                  + " can still go back; of "
                  + item.units().say(new Quantity(line.quantity()))
                  + " there, "
                  + item.units().say(new Quantity(line.quantity() - left))
                  + " have."));
    if (in.faults.size() > faultsBefore) return null;
    taken.merge(line.event(), micros, Math::addExact);
    long net =
        micros == line.quantity() ? line.net() : Share.of(line.net(), micros, line.quantity());
    long tax = line.rate() == null ? 0 : line.rate().onNet(net);
    in.rows.put(row, new Reading.RowFacts(item.id(), item.name(), quantity.unit().sign(), net));
    return new Return.Line(row, line, quantity.quantity(), quantity.unit().sign(), net, tax);
  }

  private static Optional<Traded> traded(
      Reader in, int row, boolean toSupplier, Party who, LocalDate date) {
    String number = in.draft.cell(row, "paper");
    PaperKind kind = toSupplier ? PaperKind.BILL : PaperKind.INVOICE;
    String word = kind == PaperKind.BILL ? "bill" : "invoice";
    List<Traded> lines =
        number.isEmpty()
            ? List.of()
            : in.book.traded(number).stream().filter(t -> t.kind() == kind).toList();
    if (lines.isEmpty()) {
      in.faults.add(
          Fault.at(
              row,
              "paper",
              number.isEmpty()
                  ? "With which " + word + " did the goods " + (toSupplier ? "come?" : "go?")
                  : "No " + word + " \"" + number + "\" with goods is posted here."));
      return Optional.empty();
    }
    if (who != null && lines.get(0).party() != who.id())
      in.faults.add(
          Fault.at(
              row,
              "paper",
              number + " is not " + (toSupplier ? "from " : "for ") + who.name() + "."));
    if (date != null && date.isBefore(lines.get(0).date()))
      in.faults.add(
          Fault.at(
              row,
              "paper",
              number + " is of " + lines.get(0).date() + "; goods cannot come back before."));
    String typed = in.draft.cell(row, "item");
    Optional<Item> item = typed.isEmpty() ? Optional.empty() : in.book.item(typed);
    List<Traded> some =
        lines.stream()
            .filter(t -> item.isEmpty() ? typed.isEmpty() : t.item().id() == item.get().id())
            .toList();
    if (some.isEmpty())
      in.faults.add(Fault.at(row, "item", "\"" + typed + "\" does not stand on " + number + "."));
    else if (typed.isEmpty() && some.size() > 1)
      in.faults.add(Fault.at(row, "item", number + " has several lines; which item comes back?"));
    return some.stream()
        .filter(t -> t.returnable() > 0)
        .findFirst()
        .or(() -> some.stream().findFirst());
  }
}
