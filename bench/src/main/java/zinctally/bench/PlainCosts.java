package zinctally.bench;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * A plain program that costs a movement file of ins and outs, first in, first out, and writes what
 * {@code cost} writes: on one thread, a row after the other, as one would write it in an afternoon.
 */
final class PlainCosts {
  private final Map<String, Pool> pools = new HashMap<>();

  private PlainCosts() {}

  private static final class Layer {
    private BigDecimal quantity;
    private long cents;

    Layer(BigDecimal quantity, long cents) {
      this.quantity = quantity;
      this.cents = cents;
    }
  }

  private static final class Pool {
    private final Deque<Layer> layers = new ArrayDeque<>();
    private BigDecimal onHand = BigDecimal.ZERO;
    private long worth;

    long in(BigDecimal quantity, long cents) {
      layers.add(new Layer(quantity, cents));
      onHand = onHand.add(quantity);
      worth += cents;
      return cents;
    }

    long out(BigDecimal quantity) {
      long cost = 0;
      BigDecimal left = quantity;
      while (left.signum() > 0) {
        Layer first = layers.element();
        BigDecimal part = left.min(first.quantity);
        long draw = draw(part, first);
        first.quantity = first.quantity.subtract(part);
        first.cents -= draw;
        if (first.quantity.signum() == 0) layers.remove();
        cost += draw;
        left = left.subtract(part);
      }
      onHand = onHand.subtract(quantity);
      worth -= cost;
      return -cost;
    }

    /** Rounded half up. */
    private static long draw(BigDecimal part, Layer from) {
      BigInteger of = micros(from.quantity);
      BigInteger twice = micros(part).multiply(BigInteger.valueOf(2 * from.cents)).add(of);
      return twice.divide(of.shiftLeft(1)).longValueExact();
    }

    private static BigInteger micros(BigDecimal quantity) {
      return quantity.movePointRight(6).toBigIntegerExact();
    }
  }

  public static void main(String[] args) throws IOException {
    try (var text = Files.newBufferedReader(Path.of(args[0]), StandardCharsets.UTF_8);
        CSVParser rows =
            CSVParser.parse(
                text, CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get());
        Writer out =
            new BufferedWriter(
                new OutputStreamWriter(System.out, StandardCharsets.UTF_8), 1 << 16);
        CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
      csv.printRecord("date", "item", "event", "ref", "quantity", "value", "on_hand", "worth");
      PlainCosts costs = new PlainCosts();
      for (CSVRecord row : rows) costs.row(row, csv);
    }
  }

  private void row(CSVRecord row, CSVPrinter csv) throws IOException {
    Pool pool = pools.computeIfAbsent(row.get("item"), i -> new Pool());
    BigDecimal quantity = new BigDecimal(row.get("quantity"));
    boolean in = row.get("event").equals("in");
    long cents =
        in
            ? pool.in(quantity, new BigDecimal(row.get("value")).movePointRight(2).longValueExact())
            : pool.out(quantity);
    csv.printRecord(
        row.get("date"),
        row.get("item"),
        row.get("event"),
        row.get("ref"),
        plain(in ? quantity : quantity.negate()),
        money(cents),
        plain(pool.onHand),
        money(pool.worth));
  }

  private static String plain(BigDecimal quantity) {
    return quantity.signum() == 0 ? "0" : quantity.stripTrailingZeros().toPlainString();
  }

  private static String money(long cents) {
    return BigDecimal.valueOf(cents, 2).toPlainString();
  }
}
