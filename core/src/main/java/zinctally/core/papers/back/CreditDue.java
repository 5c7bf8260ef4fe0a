package zinctally.core.papers.back;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import zinctally.core.papers.TaxRate;
import zinctally.core.papers.money.OpenItem;

/**
 * What a return to supplier is to be credited.
 *
 * @param item the open item it stands as
 * @param net minor units without tax
 * @param tax minor units
 * @param rate of its first line; null for none
 */
public record CreditDue(
    OpenItem item, String number, LocalDate date, long net, long tax, @Nullable TaxRate rate) {}
