package zinctally.core.seal;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.HexFormat;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SealTest {
  private static final List<String> INPUTS =
      List.of(
          "",
          "00",
          "10",
          "2021",
          "3031",
          "40414243",
          "5051525354555657",
          "606162636465666768696a6b6c6d6e6f");

  /** Test vectors of RFC 6962's reference tree (from memory), and its definition for the rest. */
  @ParameterizedTest
  @CsvSource({
    "0, e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855",
    "1, 6e340b9cffb37a989ca544e6bb780a2c78901d3fb33738768511a30617afa01d",
    "2, fac54203e7cc696cf0dfcb42c92a1d9dbaf70ad9e621f4bd8d98662f00e3c125",
    "3, aeb6bcfe274b70a14fb067a5e5578264db0fa9b51af5e0ba159158f329e06e77",
    "8, 5dc9da79a70659a9ad559cb701ded9a2ab9d823aad2f4960cfe370eff4604328"
  })
  void the_tree_is_that_of_the_standard(int leaves, String root) {
    List<Hash> hashes =
        INPUTS.subList(0, leaves).stream()
            .map(hex -> Hash.of(new byte[] {0}, HexFormat.of().parseHex(hex)))
            .toList();
    assertThat(MerkleTree.over(hashes)).hasToString(root);
  }

  /** The standard's own words: the left side holds the largest power of two below their number. */
  @Test
  void joining_neighbours_gives_the_tree_that_splits_at_powers_of_two() {
    for (int n = 1; n <= 70; n++) {
      List<Hash> leaves =
          java.util.stream.IntStream.range(0, n)
              .mapToObj(i -> Hash.of(new byte[] {0, (byte) i}))
              .toList();
      assertThat(MerkleTree.over(leaves)).isEqualTo(split(leaves));
    }
  }

  private static Hash split(List<Hash> leaves) {
    if (leaves.size() == 1) return leaves.get(0);
    int left = Integer.highestOneBit(leaves.size() - 1);
    return Hash.of(
        new byte[] {1},
        split(leaves.subList(0, left)).bytes(),
        split(leaves.subList(left, leaves.size())).bytes());
  }

  @Test
  void what_is_written_down_has_one_form() {
    Canonical written = new Canonical();
    written.begin("line");
    written.field("7");
    written.field(null);
    written.field("a\tb\\n\nc");
    written.end();
    written.begin("none");
    written.end();
    assertThat(written.hash())
        .isEqualTo(
            Hash.of("line\t7\tNULL\ta\\tb\\\\n\\nc\nnone\n".getBytes(StandardCharsets.UTF_8)));
  }

  @Test
  void a_seal_bears_all_that_it_says() {
    LocalDateTime at = LocalDateTime.of(2026, 3, 9, 14, 5);
    Hash one = Hash.of(new byte[] {1});
    Seal seal = new Seal(2, at, 3, one, Hash.NONE);
    assertThat(seal.hash())
        .isNotEqualTo(new Seal(3, at, 3, one, Hash.NONE).hash())
        .isNotEqualTo(new Seal(2, at.plusNanos(1_000_000), 3, one, Hash.NONE).hash())
        .isNotEqualTo(new Seal(2, at, 4, one, Hash.NONE).hash())
        .isNotEqualTo(new Seal(2, at, 3, Hash.NONE, Hash.NONE).hash())
        .isNotEqualTo(new Seal(2, at, 3, one, one).hash())
        .isEqualTo(new Seal(2, at, 3, one, Hash.NONE).hash());
    assertThat(new Leaf(one, Hash.NONE).hash()).isNotEqualTo(new Leaf(Hash.NONE, one).hash());
  }
}
