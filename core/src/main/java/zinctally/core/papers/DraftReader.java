package zinctally.core.papers;

import zinctally.core.papers.back.ReturnReader;
import zinctally.core.papers.back.SupplierCreditReader;
import zinctally.core.papers.charge.ChargeReader;
import zinctally.core.papers.consign.AgreementReader;
import zinctally.core.papers.consign.ConsignmentOutReader;
import zinctally.core.papers.consign.ConsignmentReader;
import zinctally.core.papers.consign.SettlementReader;
import zinctally.core.papers.count.StockCountReader;
import zinctally.core.papers.make.AssemblyReader;
import zinctally.core.papers.make.DisassemblyReader;
import zinctally.core.papers.make.RecipeReader;
import zinctally.core.papers.make.WorkOrderReader;
import zinctally.core.papers.mend.CustomersReader;
import zinctally.core.papers.mend.RepairBackReader;
import zinctally.core.papers.mend.RepairOutReader;
import zinctally.core.papers.money.AccountRowsReader;
import zinctally.core.papers.money.PaymentReader;
import zinctally.core.papers.move.ArrivalReader;
import zinctally.core.papers.move.DeliveryReader;
import zinctally.core.papers.move.ReceiptReader;
import zinctally.core.papers.move.TransferReader;
import zinctally.core.papers.opening.OpeningPartiesReader;
import zinctally.core.papers.order.OrderReader;
import zinctally.core.papers.read.Reader;
import zinctally.core.papers.stock.AdjustmentReader;
import zinctally.core.papers.stock.RecostingReader;
import zinctally.core.papers.stock.StartTrackingReader;
import zinctally.core.papers.stock.WriteDownReader;
import zinctally.core.papers.tax.TaxReturnReader;
import zinctally.core.papers.trade.CounterReader;
import zinctally.core.papers.trade.TradeReader;

/** Turns a draft into a paper, or says what is wrong with it and what would be right. */
public final class DraftReader {
  private final Catalogue book;

  public DraftReader(Catalogue book) {
    this.book = book;
  }

  /** Reads a whole draft; never throws for what was typed. */
  public Reading read(Draft draft) {
    Reader reader = new Reader(draft, book);
    return switch (draft.kind()) {
      case BILL, INVOICE -> TradeReader.trade(reader);
      case COUNTER_SALE -> CounterReader.sale(reader);
      case PURCHASE_ORDER, SALES_ORDER -> OrderReader.order(reader);
      case RECEIPT -> ReceiptReader.receipt(reader);
      case DELIVERY -> DeliveryReader.delivery(reader);
      case SUPPLIER_CREDIT -> SupplierCreditReader.credit(reader);
      case TRANSFER -> TransferReader.transfer(reader);
      case ARRIVAL -> ArrivalReader.arrival(reader);
      case REPAIR_OUT -> RepairOutReader.repairOut(reader);
      case REPAIR_BACK -> RepairBackReader.repairBack(reader);
      case AGREEMENT -> AgreementReader.agreement(reader);
      case CONSIGNMENT_IN, CONSIGNMENT_BACK -> ConsignmentReader.consignment(reader);
      case SETTLEMENT -> SettlementReader.settlement(reader);
      case CONSIGNMENT_OUT -> ConsignmentOutReader.out(reader);
      case TAKEN_IN -> CustomersReader.takenIn(reader);
      case GIVEN_BACK, HANDED_OVER -> CustomersReader.givenBack(reader);
      case ADJUSTMENT -> AdjustmentReader.adjustment(reader);
      case RECIPE -> RecipeReader.recipe(reader);
      case WORK_ORDER -> WorkOrderReader.workOrder(reader);
      case ASSEMBLY -> AssemblyReader.assembly(reader);
      case DISASSEMBLY -> DisassemblyReader.disassembly(reader);
      case STOCK_COUNT -> StockCountReader.count(reader);
      case CHARGE -> ChargeReader.charge(reader);
      case SUPPLIER_RETURN, CUSTOMER_RETURN -> ReturnReader.goesBack(reader);
      case WRITE_DOWN -> WriteDownReader.writeDown(reader);
      case START_TRACKING -> StartTrackingReader.startTracking(reader);
      case SUPPLIER_PAYMENT, CUSTOMER_PAYMENT -> PaymentReader.payment(reader);
      case RECOSTING -> RecostingReader.recosting(reader);
      case JOURNAL -> AccountRowsReader.journal(reader);
      case TAX_RETURN -> TaxReturnReader.taxReturn(reader);
      case OPENING_BALANCES -> AccountRowsReader.openingBalances(reader);
      case OPENING_PARTIES -> OpeningPartiesReader.openingParties(reader);
      case OPENING_STOCK ->
          throw new IllegalArgumentException("opening stock is read by its own reader");
    };
  }
}
