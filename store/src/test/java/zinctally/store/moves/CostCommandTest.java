package zinctally.store.moves;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CostCommandTest {
  private static final String HEAD = "date,item,event,quantity,value,ref,target\n";

  /** Principles of Accounting, Volume 1 (OpenStax), perpetual costing example, from memory. */
  private static final String TEXTBOOK =
      HEAD
          + "2026-01-01,T,in,150,3150.00,A,\n2026-01-02,T,out,120,,S1,\n2026-01-03,T,in,225,6075.00,B,\n"
          + "2026-01-04,T,out,180,,S2,\n2026-01-05,T,in,210,6930.00,C,\n";

  @TempDir Path folder;
  private int most = 1000;
  private final ByteArrayOutputStream out = new ByteArrayOutputStream();
  private final ByteArrayOutputStream err = new ByteArrayOutputStream();

  private int cost(String moves, String... options) throws Exception {
    Path file = folder.resolve("MOVES.csv");
    Files.writeString(file, moves);
    String[] args = new String[options.length + 1];
    args[0] = file.toString();
    System.arraycopy(options, 0, args, 1, options.length);
    return run("", args);
  }

  private int run(String piped, String... args) {
    return CostCommand.run(
        args,
        new CostCommand.Room(most, folder),
        new ByteArrayInputStream(piped.getBytes(StandardCharsets.UTF_8)),
        new PrintStream(out, true),
        new PrintStream(err, true));
  }

  @ParameterizedTest
  @CsvSource({"fifo,8955.00,7200.00", "average,8902.06,7252.94", "lifo,8775.00,7380.00"})
  void the_textbook_example_comes_out_under_three_methods(String method, String worth, String cost)
      throws Exception {
    assertThat(cost(TEXTBOOK, "--summary", "--method", method)).isZero();
    assertThat(out.toString())
        .isEqualTo(
            "item,method,on_hand,worth,cost_out\r\nT,"
                + method
                + ",285,"
                + worth
                + ","
                + cost
                + "\r\n");
  }

  @Test
  void rows_come_in_input_order_with_totals_in_event_order_and_charges_at_their_arrival()
      throws Exception {
    String moves =
        HEAD
            + "2026-03-09,BBX,charge,,65.20,F,R118\n"
            + "2026-03-03,BBX,in,40,716.00,R118,\n"
            + "2026-03-06,BBX,out,14,,D306,\n"
            + "2026-03-07,BBX,back,4,,,D306\n";
    assertThat(cost(moves)).isZero();
    // worked by hand: 781.20 for 40 is 19.53 each; 14 leave at 273.42; 4 of them come back at 78.12
    assertThat(out.toString().lines())
        .containsExactly(
            "date,item,event,ref,quantity,value,on_hand,worth",
            "2026-03-09,BBX,charge,F,,65.20,30,585.90",
            "2026-03-03,BBX,in,R118,40,716.00,40,781.20",
            "2026-03-06,BBX,out,D306,-14,-273.42,26,507.78",
            "2026-03-07,BBX,back,,4,78.12,30,585.90");
  }

  @Test
  void every_fault_is_one_line_and_nothing_is_printed() throws Exception {
    String moves =
        HEAD
            + "2026-01-01,T,in,\"2,5\",10.00,A,\n2026-01-32,T,in,1,1.234,B,\n2026-01-02,T,out,1,5,,\n"
            + "2026-01-02,T,jump,1,,,\n2026-01-02,T,back,1,,,A\n2026-01-02,T,charge,,1,,ZZ\n2026-01-02,T,in,1,1,A,\n";
    assertThat(cost(moves)).isEqualTo(2);
    assertThat(out.size()).isZero();
    assertThat(err.toString().lines())
        .contains(
            "MOVES.csv:2: quantity \"2,5\" is not a decimal number",
            "MOVES.csv:3: date \"2026-01-32\" is not a date such as 2026-03-09",
            "MOVES.csv:3: value \"1.234\" has more than 2 digits after the point",
            "MOVES.csv:4: value \"5\" is given; out has none",
            "MOVES.csv:5: event \"jump\" is not one of in, out, back, charge, revalue",
            "MOVES.csv:6: target \"A\" is not an out",
            "MOVES.csv:7: target \"ZZ\" is no ref in this file",
            "MOVES.csv:8: ref \"A\" stands already on line 2");
  }

  @Test
  void what_the_pool_refuses_names_its_line() throws Exception {
    assertThat(
            cost(
                HEAD
                    + "2026-01-01,T,in,1,5.00,A,\n2026-01-02,T,out,1,,B,\n2026-01-03,T,back,2,,,B\n"))
        .isEqualTo(2);
    assertThat(err.toString().strip())
        .isEqualTo("MOVES.csv:4: more comes back than is left of that out");
  }

  @Test
  void an_out_that_stays_uncovered_is_a_warning() throws Exception {
    assertThat(cost(HEAD + "2026-01-01,T,in,2,4.00,,\n2026-01-02,T,out,5,,,\n")).isZero();
    assertThat(out.toString()).contains("2026-01-02,T,out,,-5,-10.00,-3,-6.00");
    assertThat(err.toString()).contains("MOVES.csv:3: warning: 3 of this out is not covered");
  }

  @Test
  void columns_may_stand_in_any_order_and_items_have_methods_of_their_own() throws Exception {
    String moves =
        "method,value,quantity,item,event,date,target,ref\n"
            + "average,10,10,A,in,2026-01-01,,\naverage,30,10,A,in,2026-01-02,,\naverage,,5,A,out,2026-01-03,,\n";
    assertThat(cost(moves, "--summary", "--digits", "0")).isZero();
    assertThat(out.toString()).contains("A,average,15,30,10");
  }

  @Test
  void a_file_is_piped_in_and_its_faults_name_the_pipe() throws Exception {
    assertThat(run(TEXTBOOK, "-", "--summary")).isZero();
    assertThat(out.toString()).contains(",8955.00,7200.00");
    assertThat(run(HEAD + "2026-01-01,T,in,x,4.00,,\n", "-")).isEqualTo(2);
    assertThat(err.toString().strip())
        .isEqualTo("standard input:2: quantity \"x\" is not a decimal number");
  }

  @Test
  void semicolons_decimal_commas_and_a_byte_order_mark_are_understood() throws Exception {
    String moves =
        "\uFEFF\"date\";item;event;quantity;value;ref;target\n"
            + "2026-01-01;T;in;2,5;10,00;A;\n2026-01-02;T;out;1.5;;;\n";
    assertThat(cost(moves, "--summary")).isZero();
    assertThat(out.toString()).contains("T,fifo,1,4.00,6.00");
    assertThat(cost(moves.replace(';', '\t'), "--summary", "--method", "average")).isZero();
    assertThat(out.toString()).contains("T,average,1,4.00,6.00");
    assertThat(cost("\uFEFF" + HEAD + "2026-01-01,T,in,\"2,5\",10.00,A,\n")).isEqualTo(2);
    assertThat(err.toString().strip())
        .isEqualTo("MOVES.csv:2: quantity \"2,5\" is not a decimal number");
  }

  @Test
  void what_is_not_utf_8_and_an_empty_file_are_one_line() throws Exception {
    Path file = folder.resolve("OLD.csv");
    Files.write(
        file, (HEAD + "2026-01-01,Käse,in,1,1.00,,\n").getBytes(StandardCharsets.ISO_8859_1));
    assertThat(run("", file.toString())).isEqualTo(2);
    Path late = folder.resolve("LATE.csv");
    Files.write(
        late,
        (HEAD + "2026-01-01,T,in,1,1.00,,\n".repeat(9000) + "2026-01-01,Käse,in,1,1.00,,\n")
            .getBytes(StandardCharsets.ISO_8859_1));
    assertThat(run("", late.toString())).isEqualTo(2);
    assertThat(run("", folder.toString())).isEqualTo(2);
    assertThat(run("", "-")).isEqualTo(2);
    assertThat(err.toString().lines())
        .containsExactly(
            file + ": not readable as UTF-8 text",
            late + ": not readable as UTF-8 text",
            folder + ": this is a folder; name the movement file in it",
            "standard input:1: the file is empty; its first row must hold the headings");
    assertThat(out.size()).isZero();
  }

  @Test
  void more_rows_than_memory_holds_give_the_same() throws Exception {
    for (long seed = 1; seed <= 20; seed++) {
      boolean faulty = seed % 2 == 0;
      String moves = trade(new Random(seed), 400, faulty);
      for (String[] options : new String[][] {{}, {"--summary"}}) {
        most = 1000;
        int status = cost(moves, options);
        String said = out.toString() + err;
        out.reset();
        err.reset();
        most = 50;
        assertThat(cost(moves, options)).as("seed " + seed).isEqualTo(status);
        assertThat(out.toString() + err).as("seed " + seed).isEqualTo(said);
        assertThat(status).as(said).isEqualTo(faulty ? 2 : 0);
        out.reset();
        err.reset();
      }
    }
    try (Stream<Path> left = Files.list(folder)) {
      assertThat(left).containsExactly(folder.resolve("MOVES.csv"));
    }
  }

  /** Some hundred items; outs that are not covered, returns, charges; and with faults, of names. */
  private static String trade(Random dice, int rows, boolean faulty) {
    StringBuilder text = new StringBuilder(HEAD);
    List<String> ins = new ArrayList<>();
    List<String> outs = new ArrayList<>();
    for (int row = 0; row < rows; row++) {
      String item = "\"Räume, " + dice.nextInt(170) + "\"";
      String date = "2026-0" + (1 + dice.nextInt(9)) + "-11," + item;
      String ref = "R" + (faulty && dice.nextInt(40) == 0 ? dice.nextInt(row + 1) : row);
      int what = dice.nextInt(6);
      if (what == 0 && !ins.isEmpty()) {
        String in = ins.get(dice.nextInt(ins.size()));
        String of = faulty && dice.nextInt(9) == 0 ? item : in.substring(0, in.indexOf('|'));
        String target = in.substring(in.indexOf('|') + 1);
        text.append("2026-10-01,").append(of).append(",charge,,1.10,,").append(target);
      } else if (what == 1 && !outs.isEmpty()) {
        String[] of = outs.remove(dice.nextInt(outs.size())).split("\\|");
        text.append("2026-10-02,").append(of[0]).append(",back,1,,,").append(of[1]);
      } else if (what < 4) {
        text.append(date).append(",in,2,").append(dice.nextInt(900)).append(".07,").append(ref);
        text.append(',');
        ins.add(item + "|" + ref);
      } else {
        text.append(date).append(",out,1,,").append(ref).append(',');
        outs.add(item + "|" + ref);
      }
      text.append("\n");
    }
    return text.toString();
  }
}
