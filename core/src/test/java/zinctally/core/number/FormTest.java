package zinctally.core.number;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.text.ParsePosition;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import zinctally.core.units.Unit;
import zinctally.core.units.Units;

/** Figures as people write them, in the form of whoever they are for. */
class FormTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      nullValues = "none",
      textBlock =
          """
          POINT      | 1234.5     | 1234.5
          POINT      | 1,234.50   | 1234.50
          POINT      | 0,333      | none
          POINT      | 12,5       | none
          POINT      | 1.234,50   | none
          COMMA      | 0,333      | 0.333
          COMMA      | 1.234,50   | 1234.50
          COMMA      | 1250,5     | 1250.5
          COMMA      | 12.50      | none
          COMMA      | 0.333      | none
          SPACE      | 1 234,50   | 1234.50
          SPACE      | 12 34      | none
          APOSTROPHE | 1'234.50   | 1234.50
          APOSTROPHE | 1’234’567  | 1234567
          APOSTROPHE | 1,234.50   | none
          """)
  void a_figure_is_read_in_its_form_and_not_guessed_at(Form form, String typed, String read) {
    Optional<BigDecimal> expected = Optional.ofNullable(read).map(BigDecimal::new);
    assertThat(Figures.in(form, () -> Figures.read(typed))).isEqualTo(expected);
  }

  /** Held against the class library's own reading in a locale that writes so. */
  @ParameterizedTest
  @EnumSource(Form.class)
  void what_is_written_is_read_back_and_java_text_reads_the_same(Form form) {
    Random dice = new Random(20261125);
    DecimalFormatSymbols symbols = DecimalFormatSymbols.getInstance(Locale.ROOT);
    symbols.setDecimalSeparator(form.decimal());
    symbols.setGroupingSeparator(form.group());
    DecimalFormat library = new DecimalFormat("#,##0.##", symbols);
    library.setParseBigDecimal(true);
    for (int i = 0; i < 2000; i++) {
      BigDecimal value = BigDecimal.valueOf(dice.nextLong() % 10_000_000_000L, 2);
      String grouped = Figures.in(form, () -> Figures.grouped(value, 2));
      String plain = Figures.in(form, () -> Figures.plain(value));
      assertThat(Figures.in(form, () -> Figures.read(grouped))).as(grouped).contains(value);
      assertThat(Figures.in(form, () -> Figures.read(plain))).as(plain).contains(value);
      Number parsed = library.parse(grouped.replace(Figures.MINUS, "-"), new ParsePosition(0));
      assertThat((BigDecimal) parsed).isEqualByComparingTo(value);
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          POINT | 1,250       | true
          POINT | 2 cs + 1,250 | true
          POINT | 1,250.00    | false
          POINT | 1,250,000   | false
          POINT | 1.250       | false
          COMMA | 1.250       | true
          COMMA | 1,250       | false
          SPACE | 1 250       | false
          """)
  void what_could_be_two_numbers_is_doubted(Form form, String typed, boolean doubtful) {
    assertThat(form.doubts(typed)).isEqualTo(doubtful);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      nullValues = "none",
      textBlock =
          """
          3; 0,333; 0,999       | COMMA      | false
          1.000; 2; 2.000       | none       | false
          1.000; 12.5           | POINT      | false
          1.000; 12,5           | COMMA      | false
          1.234.567; 3          | COMMA      | false
          1,234.50; 0.5         | POINT      | false
          1 234,5; 7            | SPACE      | false
          1'234.5; 0.25         | APOSTROPHE | false
          0,5; 0.5              | COMMA      | true
          12; 13                | none       | false
          """)
  void a_files_form_is_found_from_all_its_figures(String cells, Form form, boolean mixed) {
    Form.Found found = Form.found(List.of(cells.split("; ")));
    assertThat(found.form()).isEqualTo(Optional.ofNullable(form));
    assertThat(found.mixed()).isEqualTo(mixed);
  }

  @Test
  void quantities_are_read_and_said_in_the_form_too() {
    Units kilograms = Units.of(Unit.KILOGRAM);
    Figures.in(
        Form.COMMA,
        () -> {
          assertThat(kilograms.read("2,5").orElseThrow().quantity().micros()).isEqualTo(2_500_000);
          assertThat(kilograms.read("1.250 kg 500 g").orElseThrow().quantity().micros())
              .isEqualTo(1_250_500_000);
          assertThat(kilograms.sayInBase(new Quantity(1_250_500_000))).isEqualTo("1.250,5 kg");
          assertThat(kilograms.typed(new Quantity(1_250_000_000))).isEqualTo("1250 kg");
          assertThat(kilograms.read("2.5")).isEmpty();
          return null;
        });
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "12.5; POINT",
        "12,5; COMMA",
        "1.234,50; COMMA",
        "1,234.50; POINT",
        "1.234.567; COMMA",
        "1,234,567; POINT",
        "1'234.50; APOSTROPHE",
        "1 234,50; SPACE",
        "1 234; SPACE"
      })
  void a_figure_tells_its_form(String figure, Form form) {
    assertThat(Form.found(List.of("1234", figure, "-" + figure)))
        .isEqualTo(new Form.Found(Optional.of(form), false));
  }

  @Test
  void what_may_be_two_numbers_tells_nothing_and_what_contradicts_is_said() {
    assertThat(Form.found(List.of("1,250", "-1.250", "1234", "x")))
        .isEqualTo(new Form.Found(Optional.empty(), false));
    assertThat(Form.found(List.of("1.5", "1,5")).mixed()).isTrue();
    assertThat(Form.mayBeTwo("1,250")).isTrue();
    assertThat(Form.mayBeTwo("-1.250")).isTrue();
    assertThat(Form.mayBeTwo("12,50")).isFalse();
    assertThat(Form.mayBeTwo("1250")).isFalse();
  }
}
