package zinctally.core.papers.flow;

import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import zinctally.core.ledger.Role;
import zinctally.core.papers.PaperKind;
import zinctally.core.papers.Party;

/**
 * The two ways of trade. They mirror each other: goods come with receipts or bills, and go with
 * deliveries or invoices; either paper can be the first.
 *
 * @param moving the paper that moves goods alone
 * @param asking the paper that asks for money
 * @param goodsWait goods that have moved and wait for the asking paper
 * @param paperWaits an asking paper that waits for its goods
 * @param orderedGoods an order's goods
 * @param orderedPaper an order's asking paper
 * @param bill the asking paper's word
 * @param billed what it does
 * @param moved the same, of goods as such
 * @param came what goods have done
 * @param come what goods will do
 */
public record Trading(
    PaperKind moving,
    PaperKind asking,
    Awaits goodsWait,
    Awaits paperWaits,
    Awaits orderedGoods,
    Awaits orderedPaper,
    String bill,
    String billed,
    String moved,
    String came,
    String come) {
  static final Trading BUYING =
      new Trading(
          PaperKind.RECEIPT,
          PaperKind.BILL,
          Awaits.RECEIVED_BILL,
          Awaits.BILLED_GOODS,
          Awaits.ORDERED_GOODS,
          Awaits.ORDERED_BILL,
          "bill",
          "billed",
          "received",
          "came",
          "come");
  static final Trading SELLING =
      new Trading(
          PaperKind.DELIVERY,
          PaperKind.INVOICE,
          Awaits.SENT_INVOICE,
          Awaits.INVOICED_GOODS,
          Awaits.PROMISED_GOODS,
          Awaits.PROMISED_INVOICE,
          "invoice",
          "invoiced",
          "sent",
          "went",
          "go");

  /** The way a paper of this kind belongs to. */
  static Trading of(PaperKind kind) {
    return kind.side().orElseThrow() == Party.Kind.SUPPLIER ? BUYING : SELLING;
  }

  /** What a paper of this kind can bring of what earlier ones wait for. */
  public static Set<Awaits> broughtBy(PaperKind kind) {
    return Stream.of(BUYING, SELLING)
        .flatMap(
            way ->
                kind == way.moving
                    ? Stream.of(way.orderedGoods, way.paperWaits)
                    : kind == way.asking
                        ? Stream.of(way.goodsWait, way.orderedPaper)
                        : Stream.empty())
        .collect(Collectors.toUnmodifiableSet());
  }

  /** What goods that move with a paper of this kind alone wait for; empty for another kind. */
  public static Optional<Awaits> goodsWait(PaperKind kind) {
    return Stream.of(BUYING, SELLING)
        .filter(way -> kind == way.moving)
        .map(Trading::goodsWait)
        .findFirst();
  }

  boolean buying() {
    return this == BUYING;
  }

  /** The account of goods whose asking paper came first. */
  Role aheadAccount() {
    return paperWaits.role();
  }

  /** The account of goods that moved first. */
  Role goodsAccount() {
    return goodsWait.role();
  }
}
