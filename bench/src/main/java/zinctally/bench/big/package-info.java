/** A book of eleven years and fifty thousand items, to measure with. */
@org.jspecify.annotations.NullMarked
package zinctally.bench.big;
