package zinctally.core.papers;

import java.time.LocalDate;

/**
 * What a return to supplier is to be credited.
 *
 * @param item the open item it stands as
 * @param net minor units without tax
 * @param tax minor units
 * @param rate of its first line; null for none
 */
public record CreditDue(
    OpenItem item, String number, LocalDate date, long net, long tax, TaxRate rate) {}
