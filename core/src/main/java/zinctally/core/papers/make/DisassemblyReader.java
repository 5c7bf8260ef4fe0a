package zinctally.core.papers.make;

import static zinctally.core.papers.read.Reader.known;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import zinctally.core.goods.Item;
import zinctally.core.papers.Allowed;
import zinctally.core.papers.Catalogue;
import zinctally.core.papers.Reading;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.read.RowReader;

/** Reads a disassembly. */
public final class DisassemblyReader {
  private final Reader in;
  private final MakingReader making;
  private final Sharing sharing;

  private DisassemblyReader(Reader in) {
    this.in = in;
    making = new MakingReader(in);
    sharing = sharing(in);
  }

  public static Reading disassembly(Reader in) {
    return new DisassemblyReader(in).read();
  }

  private static Sharing sharing(Reader in) {
    String typed = in.draft.field("sharing");
    Optional<Sharing> sharing = Sharing.of(typed);
    if (sharing.isEmpty())
      in.fault("sharing", "\"" + typed + "\" is no way of sharing; choose one of the list.");
    return sharing.orElse(Sharing.COST);
  }

  private Reading read() {
    Goods whole = making.one(true);
    List<Disassembly.Part> parts = new ArrayList<>();
    for (RowReader row : in.rows()) {
      Item item = making.other(row, whole);
      if (item == null) continue;
      Goods goods = making.goods(row, item, false);
      if (goods == null) continue;
      Optional<Long> own = own(row);
      Long weight = own.isPresent() ? Long.valueOf(0) : weight(row, goods);
      if (row.sound() && weight != null) parts.add(new Disassembly.Part(goods, weight, own));
    }
    if (parts.isEmpty() && in.sound())
      in.fault(
          "rows.0.item", "Into what is it taken apart? Name each part and how many there are.");
    if (in.sound()) sharers(parts);
    return in.done(
        () ->
            new Disassembly(
                known(making.date),
                known(making.place),
                known(making.into),
                known(whole),
                List.copyOf(parts),
                making.work()));
  }

  /** Somebody must bear what the rest does not. */
  private void sharers(List<Disassembly.Part> parts) {
    List<Disassembly.Part> sharers = parts.stream().filter(p -> p.own().isEmpty()).toList();
    if (sharers.isEmpty())
      in.fault(
          "rows.0.amount",
          "Every part has a value of its own; leave one empty, which bears what is left.");
    else if (sharers.stream().allMatch(p -> p.weight() == 0))
      in.fault(
          "rows." + sharers.get(0).goods().row() + ".share",
          "No part bears any of the cost; at least one share must be above zero.");
  }

  /** The value it comes in at whatever the whole cost. */
  private Optional<Long> own(RowReader row) {
    if (row.cell("amount").isEmpty()) return Optional.empty();
    Long own = in.money(row.at("amount"), row.cell("amount"));
    row.amounting(own);
    return Optional.ofNullable(own);
  }

  /** Its share in whatever the sharing counts; null when that is not known. */
  private @Nullable Long weight(RowReader row, Goods goods) {
    if (sharing != Sharing.VALUE && sharing != Sharing.HAND && !row.cell("share").isEmpty())
      row.fault(
          "share", "Cost is shared by " + sharing.words() + "; a share is typed only by hand.");
    return switch (sharing) {
      case QUANTITY -> goods.micros();
      case COST -> cost(row, goods);
      case PRICE -> price(row, goods);
      case VALUE -> typed(row, goods.quantity().decimal());
      case HAND -> typed(row, BigDecimal.ONE);
    };
  }

  private @Nullable Long cost(RowReader row, Goods goods) {
    Optional<Catalogue.LatestCost> known = in.book.presentCost(goods.item().id());
    if (known.isPresent()) return Math.multiplyExact(known.get().of(goods.micros()), 10_000L);
    row.fault(
        "item",
        "No cost of "
            + goods.item().name()
            + " is known; share by something else, or give it a value.");
    return null;
  }

  private @Nullable Long price(RowReader row, Goods goods) {
    Optional<Allowed.ListPrice> price =
        making.date == null
            ? Optional.empty()
            : in.book.listPrice(goods.item(), 0, goods.micros(), making.date, null);
    if (price.isPresent())
      return weight(row, price.get().each().multiply(goods.quantity().decimal()));
    row.fault(
        "item",
        goods.item().name()
            + " has no selling price; share by something else, or give it a value.");
    return null;
  }

  private @Nullable Long typed(RowReader row, BigDecimal times) {
    if (row.cell("share").isEmpty()) {
      row.fault(
          "share",
          sharing == Sharing.VALUE
              ? "What is one of it worth? Write 0 for what bears nothing."
              : "Which share does it bear? Write 0 for none.");
      return null;
    }
    BigDecimal share = in.amount(row.at("share"), row.cell("share"), 6);
    if (share == null || share.signum() >= 0)
      return share == null ? null : weight(row, share.multiply(times));
    row.fault("share", "A share is not below zero.");
    return null;
  }

  /** As a whole number, fine enough for any share. */
  private static @Nullable Long weight(RowReader row, BigDecimal share) {
    try {
      return share.movePointRight(6).setScale(0, RoundingMode.UP).longValueExact();
    } catch (ArithmeticException tooLarge) {
      row.fault("share", "This share is larger than any the book can hold.");
      return null;
    }
  }
}
