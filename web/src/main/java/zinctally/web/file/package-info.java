/** What is handed out as a file: CSV, XLSX, PDF. */
@NullMarked
package zinctally.web.file;

import org.jspecify.annotations.NullMarked;
