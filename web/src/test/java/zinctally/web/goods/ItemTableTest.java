package zinctally.web.goods;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import zinctally.core.ledger.Account;
import zinctally.core.ledger.AccountKind;
import zinctally.core.ledger.Role;
import zinctally.store.goods.ItemCard;
import zinctally.web.shell.Shown;

class ItemTableTest {
  private static ItemTable read(String... namesAndValues) {
    Map<String, String> sent = new HashMap<>();
    for (int i = 0; i < namesAndValues.length; i += 2)
      sent.put(namesAndValues[i], namesAndValues[i + 1]);
    return ItemTable.read(sent);
  }

  @Test
  void rows_stand_in_their_order_and_what_is_no_cell_is_passed_over() {
    ItemTable table =
        read(
            "rows[10].name",
            "Tenth",
            "rows[2].name",
            "Second",
            "rows[2].id",
            "17",
            "_csrf",
            "x",
            "rows[99999].name",
            "too far");
    assertThat(table.rows())
        .extracting(r -> r.cells().get("name"))
        .containsExactly("Second", "Tenth");
    assertThat(table.rows()).extracting(ItemTable.Row::id).containsExactly(17L, 0L);
  }

  @Test
  void a_new_row_is_blank_until_more_than_its_group_and_unit_is_said() {
    assertThat(read("rows[0].group", "3", "rows[0].unit", "EACH").rows().get(0).blank()).isTrue();
    assertThat(read("rows[0].group", "3", "rows[0].shelf", "B 2").rows().get(0).blank()).isFalse();
    assertThat(read("rows[0].id", "5").rows().get(0).blank()).isFalse();
  }

  @Test
  void a_row_is_changed_when_a_cell_is_not_as_it_was_shown() {
    String shown = Shown.write(Map.of("name", "Smoker", "shelf", ""));
    assertThat(row(shown, "Smoker ").changed()).isFalse();
    assertThat(row(shown, "Smoker, tin").changed()).isTrue();
  }

  private static ItemTable.Row row(String shown, String name) {
    return read(
            "rows[0].id", "5", "rows[0].name", name, "rows[0].shelf", "", "rows[0].shown", shown)
        .rows()
        .get(0);
  }

  private static final List<ItemCard.Price> LISTS = List.of(new ItemCard.Price(1, "Retail", null));
  private static final List<Account> ACCOUNTS =
      List.of(new Account(9, "1410", "Wax", AccountKind.ASSET, Role.STOCK, true));

  private static ItemParts.Part part(String key, Map<String, String> fields) {
    return ItemParts.of(fields, Map.of("gtin", "wrong"), LISTS, ACCOUNTS).part(key);
  }

  @Test
  void each_folded_part_of_the_form_says_what_is_set_and_stands_open_over_a_fault() {
    assertThat(part("kept", Map.of()).set())
        .isEqualTo("stocked goods; costed as its group; not told apart");
    assertThat(part("kept", Map.of("method", "FIFO", "reorder_point", "8", "state", "off")).set())
        .contains("first in, first out")
        .contains("reordered at 8")
        .contains("switched off");
    assertThat(part("packs", Map.of("pack_name", "cs", "pack_size", "50")).set())
        .isEqualTo("cs of 50");
    assertThat(part("packs", Map.of()).open()).isTrue();
    assertThat(part("sold", Map.of("price_1", "12.50")).set())
        .isEqualTo("Retail 12.50; taxed as the place");
    assertThat(part("sold", Map.of()).open()).isFalse();
    assertThat(part("accounts", Map.of("stock_account", "0")).set()).isEqualTo("as its group");
    assertThat(part("accounts", Map.of("stock_account", "9")).set()).isEqualTo("1410 Wax");
    assertThat(part("kept", Map.of("kind", "NO SUCH")).set()).doesNotContain("NO SUCH");
  }
}
