package zinctally.web.sell;

/** The receipt printer at the counter. */
interface ReceiptPrinter {
  /** Prints lines of at most {@link CounterReceipt#WIDTH} letters. */
  void print(String receipt);
}
