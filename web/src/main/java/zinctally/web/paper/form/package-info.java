/** The forms by area: fields and columns of each kind of paper. */
@NullMarked
package zinctally.web.paper.form;

import org.jspecify.annotations.NullMarked;
