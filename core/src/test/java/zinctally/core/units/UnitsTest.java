package zinctally.core.units;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import zinctally.core.Any;
import zinctally.core.Seeded;
import zinctally.core.goods.Gtin;
import zinctally.core.number.Quantity;

class UnitsTest {
  private static final Units HONEY = Units.of(Unit.KILOGRAM);
  private static final Units FRAMES = new Units(Unit.EACH, "cs", Quantity.of("50"));

  @ParameterizedTest
  @CsvSource({
    "2.5, 2.5, 2 kg 500 g, kg",
    "2 kg 500 g, 2.5, 2 kg 500 g, kg",
    "500 g, 0.5, 500 g, g",
    "-1.5 kg, -1.5, \u22121 kg 500 g, kg",
    "'1,250', 1250, '1,250 kg', kg"
  })
  void kilograms_read_and_read_back(String typed, String plain, String said, String priceUnit) {
    Units.Typed read = HONEY.read(typed).orElseThrow();
    assertThat(read.quantity()).isEqualTo(Quantity.of(plain));
    assertThat(HONEY.say(read.quantity())).isEqualTo(said);
    assertThat(read.unit().sign()).isEqualTo(priceUnit);
  }

  @Test
  void packs_and_pieces_add_up() {
    Units.Typed read = FRAMES.read("6 cs + 3").orElseThrow();
    assertThat(read.quantity()).isEqualTo(Quantity.of("303"));
    assertThat(read.unit()).isEqualTo(new Units.Shown("cs", Quantity.of("50")));
    assertThat(FRAMES.say(read.quantity())).isEqualTo("6 cs + 3");
    assertThat(FRAMES.say(Quantity.of("12"))).isEqualTo("12");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "abc",
        "2,5",
        "3 boxes",
        "1 2",
        "--1",
        "6 cs - 3",
        "0.0000001",
        "99999999999999"
      })
  void what_is_no_quantity_is_not_guessed_at(String typed) {
    assertThat(FRAMES.read(typed)).isEmpty();
  }

  @Seeded
  void what_is_said_reads_back(Any any) {
    long micros = any.between(0, 10_000_000_000L);
    Quantity quantity = new Quantity(micros);
    assertThat(FRAMES.read(FRAMES.say(quantity)).orElseThrow().quantity()).isEqualTo(quantity);
    assertThat(HONEY.read(HONEY.say(quantity)).orElseThrow().quantity()).isEqualTo(quantity);
  }

  /** Held against the check digit of Apache Commons Validator. */
  @Seeded
  void a_gtin_check_digit_is_the_one_a_reference_library_gives(Any any) throws Exception {
    long body = any.between(1, 999_999_999_999L);
    String digits = String.format("%012d", body);
    var reference =
        org.apache.commons.validator.routines.checkdigit.EAN13CheckDigit.EAN13_CHECK_DIGIT;
    assertThat(String.valueOf(Gtin.checkDigit(digits))).isEqualTo(reference.calculate(digits));
    assertThat(Gtin.isRight(digits + Gtin.checkDigit(digits))).isTrue();
  }
}
