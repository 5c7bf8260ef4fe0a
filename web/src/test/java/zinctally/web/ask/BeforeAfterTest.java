package zinctally.web.ask;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.AccountKind;
import zinctally.core.ledger.Role;

class BeforeAfterTest {
  @Test
  void what_changed_stands_first_and_both_sides_beside_each_other() {
    Account was = new Account(7, "1000", "Bank, old [main]", AccountKind.ASSET, Role.MONEY, true);
    Account is = new Account(7, "1000", "Bank", AccountKind.ASSET, Role.MONEY, false);
    assertThat(BeforeAfter.of(was.toString(), is.toString()))
        .startsWith(
            new BeforeAfter.Field("name", "Bank, old [main]", "Bank"),
            new BeforeAfter.Field("active", "true", "false"))
        .hasSize(6);
  }

  @Test
  void what_was_made_or_has_no_fields_is_shown_as_it_is() {
    assertThat(BeforeAfter.of("", "Place[name=Barn, taxNumber=null]"))
        .containsExactly(
            new BeforeAfter.Field("name", "", "Barn"), new BeforeAfter.Field("tax number", "", ""));
    assertThat(BeforeAfter.of("10 years", "7 years"))
        .containsExactly(new BeforeAfter.Field("", "10 years", "7 years"));
    assertThat(BeforeAfter.of("", "")).isEmpty();
  }
}
