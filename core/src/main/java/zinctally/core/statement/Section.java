package zinctally.core.statement;

/**
 * A heading of the statements.
 *
 * @param parent the heading it stands under; zero for none
 * @param activity where the cash flow shows what changes on its accounts
 * @param subtotal what the result down to here is called, with a heading of its own; empty when it
 *     is not said
 */
public record Section(
    long id, Part part, long parent, String name, Activity activity, String subtotal) {}
