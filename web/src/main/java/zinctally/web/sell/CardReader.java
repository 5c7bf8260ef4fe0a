package zinctally.web.sell;

/** The card reader at the counter. */
interface CardReader {
  /**
   * Asks the customer's card for an amount. Asked again under the same name for the same sale, as
   * from two windows at once, it charges nothing more and gives the same number.
   *
   * @param sale names the sale
   * @param minor minor units, above zero
   * @return the reader's own number for the payment
   * @throws Declined when the card does not pay
   */
  String charge(String sale, long minor) throws Declined;

  /** Gives back what was charged. */
  void giveBack(String payment);

  /** Why a card does not pay, in words. */
  final class Declined extends Exception {
    Declined(String why) {
      super(why);
    }
  }
}
