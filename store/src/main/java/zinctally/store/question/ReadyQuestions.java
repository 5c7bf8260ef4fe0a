package zinctally.store.question;

import java.util.List;

/** Answers that are ready: questions that come with the program, to be opened and changed. */
public final class ReadyQuestions {
  private ReadyQuestions() {}

  /**
   * A question.
   *
   * @param asked as it stands in an address
   */
  public record Ready(String name, String says, String asked) {}

  public static final List<Ready> ALL =
      List.of(
          new Ready(
              "What is where",
              "Items by place, with what they are worth.",
              "about=stock&see.1=quantity&see.2=value&by.1=item&across=place&summary=on"),
          new Ready(
              "Value by group and place",
              "What goods are worth, put together.",
              "about=stock&see.1=value&see.2=quantity&by.1=group&by.2=place&summary=on&chart=BARS"),
          new Ready(
              "What is short and what is coming",
              "Items under their reorder point: here, free, on order.",
              "about=items&see.1=code&see.2=item&see.3=on_hand&see.4=free&see.5=ordered&see.6=reorder_point"
                  + "&see.7=missing&if.1=missing&if.1.test=MORE&if.1.a=0&order.1=missing&order.1.down=on"),
          new Ready(
              "Margin by item",
              "Sales, cost and margin of a time, best first.",
              "about=sales&see.1=quantity&see.2=net&see.3=cost&see.4=margin&see.5=calc.1&calc.1=PERCENT"
                  + "&calc.1.a=margin&calc.1.b=net&calc.1.as=Margin %25&by.1=item&summary=on&if.1=date&if.1.test=BETWEEN"
                  + "&if.1.ask=?&order.1=margin&order.1.down=on"),
          new Ready(
              "Margin by customer",
              "The same by whom it was sold to.",
              "about=sales&see.1=net&see.2=cost&see.3=margin&see.4=calc.1&calc.1=PERCENT&calc.1.a=margin"
                  + "&calc.1.b=net&calc.1.as=Margin %25&by.1=party&summary=on&if.1=date&if.1.test=BETWEEN&if.1.ask=?"
                  + "&order.1=margin&order.1.down=on"),
          new Ready(
              "Margin by month",
              "Sales, margin, and what share of sales it is.",
              "about=sales&see.1=net&see.2=margin&see.3=calc.2&by.1=calc.1&calc.1=MONTH&calc.1.a=date&calc.1.as=Month"
                  + "&calc.2=PERCENT&calc.2.a=margin&calc.2.b=net&calc.2.as=Margin %25&summary=on&order.1=calc.1&chart=LINES"),
          new Ready(
              "Sales by month and group",
              "Months across.",
              "about=sales&see.1=net&by.1=group&across=calc.1&calc.1=MONTH&calc.1.a=date&summary=on"
                  + "&if.1=date&if.1.test=LAST_DAYS&if.1.a=365"),
          new Ready(
              "Slow and dead stock",
              "What is here and has not been sold for a quarter.",
              "about=items&see.1=code&see.2=item&see.3=on_hand&see.4=value&see.5=last_sold&see.6=sold_90"
                  + "&if.1=on_hand&if.1.test=MORE&if.1.a=0&if.2=sold_90&if.2.test=AT_MOST&if.2.a=0"
                  + "&order.1=value&order.1.down=on"),
          new Ready(
              "Expiring lots",
              "Lots here that expire within ninety days.",
              "about=lots&if.1=expiry&if.1.test=NEXT_DAYS&if.1.a=90&if.2=quantity&if.2.test=MORE&if.2.a=0"
                  + "&order.1=expiry"),
          new Ready(
              "Orders not complete",
              "Lines of orders with what is still to come or to go.",
              "about=waiting&if.1=waits&if.1.test=HOLDS&if.1.a=goods&if.2=open&if.2.test=MORE&if.2.a=0"
                  + "&order.1=wanted"),
          new Ready(
              "Receipts without bill",
              "Goods that came and are not billed.",
              "about=waiting&see.1=date&see.2=number&see.3=party&see.4=item&see.5=open&see.6=open_value&see.7=days"
                  + "&if.1=waits&if.1.test=IS&if.1.a=received bill&if.2=open&if.2.test=MORE&if.2.a=0&order.1=days&order.1.down=on"),
          new Ready(
              "Who owes what, by age",
              "Open items, ages across.",
              "about=open&see.1=open&by.1=side&by.2=party&across=age&summary=on"),
          new Ready(
              "Why goods come back",
              "Returns by reason.",
              "about=returns&see.1=quantity&see.2=net&by.1=reason&by.2=item&summary=on&order.1=net&order.1.down=on"),
          new Ready(
              "Count differences",
              "What counts found, by item.",
              "about=counts&see.1=worth&see.2=difference&by.1=item&summary=on&if.1=difference&if.1.test=IS_NOT"
                  + "&if.1.a=0&if.2=difference&if.2.test=NOT_EMPTY&order.1=worth&chart=BARS"),
          new Ready(
              "Consigned goods",
              "What came, was sold and went back, by owner.",
              "about=consigned&see.1=came&see.2=sold&see.3=back&see.4=quantity&see.4.as=Here&by.1=party&by.2=item&summary=on"),
          new Ready(
              "Tax by month and rate",
              "Of what was sold.",
              "about=sales&see.1=net&see.2=tax&by.1=calc.1&by.2=rate&calc.1=MONTH&calc.1.a=date&calc.1.as=Month&summary=on"),
          new Ready(
              "Who did what",
              "The audit trail of the last week.",
              "about=audit&if.1=at&if.1.test=LAST_DAYS&if.1.a=7"));
}
