package zinctally.core.papers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import zinctally.core.papers.flow.Awaits;
import zinctally.core.papers.flow.Trading;

class PaperKindTest {
  @ParameterizedTest
  @EnumSource
  void a_kind_has_words_a_number_an_area_and_an_address_of_its_own(PaperKind kind) {
    assertThat(kind.words()).matches("\\p{Lu}.+");
    assertThat(kind.prefix()).matches("[A-Z]{1,4}");
    assertThat(kind.slug()).matches("[a-z]+(-[a-z]+)*");
    assertThat(PaperKind.ofSlug(kind.slug())).isEqualTo(kind);
    assertThat(kind.side().isPresent())
        .isEqualTo(List.of("buy", "sell").contains(kind.area()) || kind.is(Trait.DECLARES));
    kind.side().ifPresent(side -> assertThat(kind.isWith(side)).isTrue());
  }

  @Test
  void no_two_share_a_key_or_the_letters_of_their_numbers() {
    assertThat(Arrays.stream(PaperKind.values()).map(PaperKind::key).filter(k -> !k.isEmpty()))
        .hasSizeGreaterThan(5)
        .doesNotHaveDuplicates();
    assertThat(Arrays.stream(PaperKind.values()).map(PaperKind::prefix)).doesNotHaveDuplicates();
    assertThatThrownBy(() -> PaperKind.ofSlug("no-such"))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("no-such");
  }

  @Test
  void a_bill_is_from_a_supplier_and_people_look_for_it_by_other_words() {
    assertThat(PaperKind.BILL.isWith(Party.Kind.SUPPLIER)).isTrue();
    assertThat(PaperKind.BILL.isWith(Party.Kind.CUSTOMER)).isFalse();
    assertThat(PaperKind.ADJUSTMENT.isWith(Party.Kind.CUSTOMER)).isFalse();
    assertThat(PaperKind.BILL.word()).isEqualTo("bill");
    assertThat(PaperKind.CUSTOMER_RETURN.known()).contains("refund");
    assertThat(PaperKind.BILL.is(Trait.COUNTER)).isFalse();
  }

  @Test
  void goods_that_move_alone_wait_for_the_paper_that_asks_for_them() {
    assertThat(Trading.goodsWait(PaperKind.RECEIPT)).contains(Awaits.RECEIVED_BILL);
    assertThat(Trading.goodsWait(PaperKind.DELIVERY)).contains(Awaits.SENT_INVOICE);
    assertThat(Trading.goodsWait(PaperKind.BILL)).isEmpty();
  }
}
