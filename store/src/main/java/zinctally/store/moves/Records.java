package zinctally.store.moves;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** Parses a CSV file on a thread of its own, batch by batch, while the batches before are read. */
final class Records implements AutoCloseable {
  private static final int BATCH = 512;
  private final BlockingQueue<Batch> queue = new ArrayBlockingQueue<>(8);
  private final CSVParser parser;
  private final Thread thread;

  /** Some rows, with the lines of the file on which they end; without rows, the end. */
  record Batch(List<CSVRecord> rows, int[] lines, @Nullable UncheckedIOException broken) {
    boolean isLast() {
      return rows.isEmpty();
    }

    int size() {
      return rows.size();
    }

    CSVRecord row(int i) {
      return rows.get(i);
    }

    int line(int i) {
      return lines[i];
    }
  }

  Records(CSVParser parser) {
    this.parser = parser;
    thread = new Thread(this::parse, "csv");
    thread.setDaemon(true);
    thread.start();
  }

  private void parse() {
    @Nullable UncheckedIOException broken = null;
    try {
      try {
        List<CSVRecord> rows = new ArrayList<>(BATCH);
        int[] lines = new int[BATCH];
        for (CSVRecord row : parser) {
          lines[rows.size()] = (int) parser.getCurrentLineNumber();
          rows.add(row);
          if (rows.size() == BATCH) {
            queue.put(new Batch(rows, lines, null));
            rows = new ArrayList<>(BATCH);
            lines = new int[BATCH];
          }
        }
        if (!rows.isEmpty()) queue.put(new Batch(rows, lines, null));
      } catch (UncheckedIOException notCsv) {
        broken = notCsv;
      }
      queue.put(new Batch(List.of(), new int[0], broken));
    } catch (InterruptedException givenUp) {
      Thread.currentThread().interrupt();
    }
  }

  /**
   * The next rows; none at the end.
   *
   * @throws UncheckedIOException when what follows is not CSV
   */
  Batch next() {
    try {
      Batch batch = queue.take();
      if (batch.broken() != null) throw batch.broken();
      return batch;
    } catch (InterruptedException givenUp) {
      Thread.currentThread().interrupt();
      throw new UncheckedIOException(new IOException("interrupted"));
    }
  }

  @Override
  public void close() throws IOException {
    thread.interrupt();
    parser.close();
  }
}
