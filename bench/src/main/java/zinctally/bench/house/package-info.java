/** Many small books at one program, measured. */
@NullMarked
package zinctally.bench.house;

import org.jspecify.annotations.NullMarked;
