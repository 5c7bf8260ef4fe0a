package zinctally.web.paper;

import com.helger.ubl21.UBL21Marshaller;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.AddressType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.CustomerPartyType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.InvoiceLineType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.ItemType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.MonetaryTotalType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.PartyNameType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.PartyType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.PriceType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.SupplierPartyType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.TaxCategoryType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.TaxSchemeType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.TaxSubtotalType;
import oasis.names.specification.ubl.schema.xsd.commonaggregatecomponents_21.TaxTotalType;
import oasis.names.specification.ubl.schema.xsd.invoice_21.InvoiceType;
import org.springframework.stereotype.Component;
import zinctally.core.number.Coin;
import zinctally.core.number.Quantity;
import zinctally.store.book.Book;
import zinctally.store.book.BookStore;
import zinctally.store.paper.PostedPaper;
import zinctally.store.sell.CustomerStore;

/**
 * An invoice as a file for other programs: OASIS Universal Business Language 2.1, document type
 * Invoice. Units are codes of UN/ECE Recommendation 20, kinds of document those of UN/CEFACT 1001.
 */
@Component
class UblInvoice {
  private static final String COMMERCIAL_INVOICE = "380";
  private static final int PRICE_PLACES = 6;
  private final BookStore books;
  private final CustomerStore customers;

  UblInvoice(BookStore books, CustomerStore customers) {
    this.books = books;
    this.customers = customers;
  }

  /**
   * @throws IllegalStateException when the file would not be valid against the schema
   */
  byte[] of(PostedPaper paper) {
    Book book = books.book();
    Coin coin = book.coin();
    InvoiceType invoice = new InvoiceType();
    invoice.setUBLVersionID("2.1");
    invoice.setID(paper.number());
    invoice.setIssueDate(paper.date());
    invoice.setDueDate(paper.due());
    invoice.setInvoiceTypeCode(COMMERCIAL_INVOICE);
    invoice.setDocumentCurrencyCode(coin.code());
    if (!paper.reference().isEmpty()) invoice.setBuyerReference(paper.reference());
    SupplierPartyType us = new SupplierPartyType();
    us.setParty(party(book.name(), Optional.empty()));
    invoice.setAccountingSupplierParty(us);
    CustomerPartyType them = new CustomerPartyType();
    them.setParty(
        party(paper.partyName(), customers.card(paper.party()).map(CustomerStore.Card::address)));
    invoice.setAccountingCustomerParty(them);
    invoice.addTaxTotal(taxes(paper, coin));
    MonetaryTotalType sums = new MonetaryTotalType();
    sums.setLineExtensionAmount(coin.decimal(paper.net())).setCurrencyID(coin.code());
    sums.setTaxExclusiveAmount(coin.decimal(paper.net())).setCurrencyID(coin.code());
    sums.setTaxInclusiveAmount(coin.decimal(paper.total())).setCurrencyID(coin.code());
    long paid = paper.payments().stream().mapToLong(PostedPaper.Booking::amount).sum();
    if (paid != 0) sums.setPrepaidAmount(coin.decimal(paid)).setCurrencyID(coin.code());
    sums.setPayableAmount(coin.decimal(paper.total() - paid)).setCurrencyID(coin.code());
    invoice.setLegalMonetaryTotal(sums);
    for (PostedPaper.Line line : paper.lines()) invoice.addInvoiceLine(line(line, coin));
    byte[] file = UBL21Marshaller.invoice().getAsBytes(invoice);
    if (file == null)
      throw new IllegalStateException(paper.number() + " is not valid against the schema of UBL");
    return file;
  }

  private static PartyType party(String name, Optional<String> address) {
    PartyType party = new PartyType();
    PartyNameType named = new PartyNameType();
    named.setName(name);
    party.addPartyName(named);
    address
        .filter(a -> !a.isBlank())
        .ifPresent(
            a -> {
              AddressType where = new AddressType();
              where.setStreetName(a);
              party.setPostalAddress(where);
            });
    return party;
  }

  private static TaxCategoryType category(String code, BigDecimal percent) {
    TaxCategoryType category = new TaxCategoryType();
    // UN/CEFACT 5305: standard rate, or zero rated
    category.setID(percent.signum() == 0 ? "Z" : "S");
    category.setName(code);
    category.setPercent(percent);
    TaxSchemeType scheme = new TaxSchemeType();
    scheme.setID("VAT");
    category.setTaxScheme(scheme);
    return category;
  }

  private static TaxTotalType taxes(PostedPaper paper, Coin coin) {
    TaxTotalType total = new TaxTotalType();
    total.setTaxAmount(coin.decimal(paper.tax())).setCurrencyID(coin.code());
    Map<String, long[]> sums = new LinkedHashMap<>();
    Map<String, BigDecimal> percents = new LinkedHashMap<>();
    for (PostedPaper.Line line : paper.lines()) {
      String code = line.taxCode() == null ? "none" : line.taxCode();
      long[] sum = sums.computeIfAbsent(code, c -> new long[2]);
      sum[0] = Math.addExact(sum[0], line.net());
      sum[1] = Math.addExact(sum[1], line.tax());
      percents.put(code, percent(line));
    }
    sums.forEach(
        (code, sum) -> {
          TaxSubtotalType part = new TaxSubtotalType();
          part.setTaxableAmount(coin.decimal(sum[0])).setCurrencyID(coin.code());
          part.setTaxAmount(coin.decimal(sum[1])).setCurrencyID(coin.code());
          part.setTaxCategory(category(code, Objects.requireNonNull(percents.get(code))));
          total.addTaxSubtotal(part);
        });
    return total;
  }

  private static BigDecimal percent(PostedPaper.Line line) {
    return line.taxPercent() == null ? BigDecimal.ZERO : line.taxPercent().stripTrailingZeros();
  }

  private static InvoiceLineType line(PostedPaper.Line line, Coin coin) {
    InvoiceLineType to = new InvoiceLineType();
    to.setID(String.valueOf(line.line() + 1));
    BigDecimal quantity = new Quantity(line.measure().micros()).decimal();
    to.setInvoicedQuantity(quantity).setUnitCode(line.measure().rec20());
    to.setLineExtensionAmount(coin.decimal(line.net())).setCurrencyID(coin.code());
    ItemType item = new ItemType();
    item.setName(line.wording().isEmpty() ? line.name() : line.wording());
    String code = line.taxCode() == null ? "none" : line.taxCode();
    item.addClassifiedTaxCategory(category(code, percent(line)));
    to.setItem(item);
    PriceType price = new PriceType();
    BigDecimal each =
        quantity.signum() == 0
            ? BigDecimal.ZERO
            : coin.decimal(line.net()).divide(quantity, PRICE_PLACES, RoundingMode.HALF_UP);
    price.setPriceAmount(each).setCurrencyID(coin.code());
    to.setPrice(price);
    return to;
  }
}
