package dev.lonja.web.ubl;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.helger.ubl21.UBL21Marshaller;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.Order;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLine;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.order.Said;
import dev.lonja.core.order.SupplierAnswer;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.supplier.Deliveries;
import dev.lonja.core.supplier.Freight;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.SupplierId;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import oasis.names.specification.ubl.schema.xsd.order_21.OrderType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Order 7 of four filters at 22.40 (line 31) and ten rings at 0.18 (line 32), freight 24.00. */
class UblTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final LocalDate PROMISED = LocalDate.parse("2027-03-25");

  private static final Order ORDER =
      new Order(
          new OrderId(7),
          new Supplier(
              new SupplierId(1),
              "Cabo Norte Supply",
              9,
              Deliveries.ANY_DAY,
              Optional.of(new Freight(new Money(2_400, EUR), Optional.empty()))),
          "pack by line",
          LocalDate.parse("2027-03-14"),
          Optional.of(LocalDate.parse("2027-03-15")),
          List.of(line(31, "RV 2210-4", "22-1010", 4, "22.40"), line(32, "CU 14", "", 10, "0.18")),
          2);

  private static OrderLine line(long id, String number, String theirs, long pieces, String price) {
    return new OrderLine(
        new OrderLineId(id),
        new Item(
            new ItemId(id),
            new PartId(id),
            "Ravelin",
            number,
            "",
            Family.SPIN_ON_FILTER,
            Measure.PIECES,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            new Item.Bin(new BinId(1), "C-07", 1),
            Item.Keeping.PLAIN,
            0),
        theirs,
        Quantity.pieces(pieces),
        Quantity.pieces(1),
        price(price),
        Optional.empty(),
        new OrderLine.Fate(
            Optional.of(PROMISED), false, Quantity.pieces(0), Quantity.pieces(0), ""));
  }

  private static UnitPrice price(String each) {
    return UnitPrice.of(new BigDecimal(each), EUR);
  }

  /** 4 × 22.40 + 10 × 0.18 = 91.40, with freight 115.40; it is valid by the published schema. */
  @Test
  void anOrderIsAValidDocument() {
    byte[] document = new UblOrder(ORDER, "Quay Store", EUR).document();
    OrderType read = UBL21Marshaller.order().read(document);
    assertThat(read).isNotNull();
    assertThat(read.getIDValue()).isEqualTo("7");
    assertThat(read.getIssueDateValueLocal()).isEqualTo("2027-03-15");
    assertThat(read.getOrderLine()).hasSize(2);
    assertThat(read.getOrderLine().get(0).getLineItem().getIDValue()).isEqualTo("31");
    assertThat(read.getOrderLine().get(0).getLineItem().getQuantityValue())
        .isEqualByComparingTo("4");
    assertThat(read.getAnticipatedMonetaryTotal().getPayableAmountValue())
        .isEqualByComparingTo("115.40");
  }

  private static final String SPACES =
      " xmlns:cac=\"urn:oasis:names:specification:ubl:schema:xsd:CommonAggregateComponents-2\""
          + " xmlns:cbc=\"urn:oasis:names:specification:ubl:schema:xsd:CommonBasicComponents-2\"";

  private static final String PARTIES = "<cac:SellerSupplierParty/><cac:BuyerCustomerParty/>";

  private static String response(String id, String about, String lines) {
    return "<OrderResponse xmlns=\"urn:oasis:names:specification:ubl:schema:xsd:OrderResponse-2\""
        + SPACES
        + "><cbc:ID>"
        + id
        + "</cbc:ID><cbc:IssueDate>2027-03-16</cbc:IssueDate><cac:OrderReference><cbc:ID>"
        + about
        + "</cbc:ID></cac:OrderReference>"
        + PARTIES
        + lines
        + "</OrderResponse>";
  }

  private static String item(String id, String between) {
    return "<cac:OrderLine><cac:LineItem><cbc:ID>"
        + id
        + "</cbc:ID>"
        + between
        + "<cac:Item/></cac:LineItem></cac:OrderLine>";
  }

  private static SupplierAnswer read(String document) throws UblAnswer.Unusable {
    return new UblAnswer(ORDER).read(document.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void aResponseSaysHowMuchForHowMuchAndWhen() throws UblAnswer.Unusable {
    SupplierAnswer answer =
        read(
            response(
                "R-12",
                "7",
                item(
                        "31",
                        "<cbc:Quantity unitCode=\"C62\">3</cbc:Quantity>"
                            + "<cac:Delivery><cac:PromisedDeliveryPeriod><cbc:EndDate>2027-04-01"
                            + "</cbc:EndDate></cac:PromisedDeliveryPeriod></cac:Delivery>"
                            + "<cac:Price><cbc:PriceAmount currencyID=\"EUR\">23.10"
                            + "</cbc:PriceAmount></cac:Price>")
                    + item("32", "<cbc:LineStatusCode>7</cbc:LineStatusCode>")));
    assertThat(answer.message()).isEqualTo("ubl-1-R-12");
    assertThat(answer.supplier()).isEqualTo("Cabo Norte Supply");
    assertThat(answer.said())
        .containsExactly(
            new Said.Confirmed(
                new OrderLineId(31),
                Quantity.pieces(3),
                Optional.of(price("23.10")),
                LocalDate.parse("2027-04-01")),
            new Said.Cancelled(new OrderLineId(32), "not accepted"));
  }

  /** Where nothing is said of it, what was ordered and promised holds. */
  @Test
  void aBareYesConfirmsWhatWasOrdered() throws UblAnswer.Unusable {
    assertThat(read(response("R-13", "7", item("31", ""))).said())
        .containsExactly(
            new Said.Confirmed(
                new OrderLineId(31), Quantity.pieces(4), Optional.empty(), PROMISED));
  }

  @Test
  void anAdviceSaysWhatIsOnItsWay() throws UblAnswer.Unusable {
    String advice =
        "<DespatchAdvice"
            + " xmlns=\"urn:oasis:names:specification:ubl:schema:xsd:DespatchAdvice-2\""
            + SPACES
            + "><cbc:ID>D-5</cbc:ID><cbc:IssueDate>2027-03-20</cbc:IssueDate>"
            + "<cac:OrderReference><cbc:ID>7</cbc:ID></cac:OrderReference>"
            + "<cac:DespatchSupplierParty/><cac:DeliveryCustomerParty/>"
            + "<cac:DespatchLine><cbc:ID>1</cbc:ID>"
            + "<cbc:DeliveredQuantity unitCode=\"C62\">2</cbc:DeliveredQuantity>"
            + "<cac:OrderLineReference><cbc:LineID>31</cbc:LineID></cac:OrderLineReference>"
            + "<cac:Item/></cac:DespatchLine></DespatchAdvice>";
    assertThat(read(advice).said())
        .containsExactly(new Said.Shipped(new OrderLineId(31), Quantity.pieces(2), PROMISED));
  }

  @Test
  void anEntityIsNeverResolved() {
    String trick =
        "<?xml version=\"1.0\"?><!DOCTYPE x [<!ENTITY e SYSTEM \"file:///etc/hostname\">]>"
            + response("&e;", "7", item("31", ""));
    assertThatThrownBy(() -> read(trick))
        .isInstanceOf(UblAnswer.Unusable.class)
        .hasMessageContaining("document type declaration");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "7 | 99 | '' | no line \"99\"",
        "8 | 31 | '' | It is about order \"8\"",
        "7 | 31 | <cbc:Quantity unitCode=\"LTR\">3</cbc:Quantity> | is in LTR; it was ordered in C62",
        "7 | 31 | <cac:Price><cbc:PriceAmount currencyID=\"EUR\">-1</cbc:PriceAmount></cac:Price>"
            + " | costs -1",
        "7 | 31 | <cbc:Wrong/> | no valid UBL 2.1 Order Response"
      })
  void whatCannotBeUsedSaysWhy(String about, String line, String between, String why) {
    assertThatThrownBy(() -> read(response("R-1", about, item(line, between))))
        .isInstanceOf(UblAnswer.Unusable.class)
        .hasMessageContaining(why);
  }

  @Test
  void anythingElseIsNamed() {
    assertThatThrownBy(() -> read("<hello/>")).hasMessageContaining("It begins with hello");
    assertThatThrownBy(() -> read("no xml")).hasMessageContaining("cannot be read as XML");
  }
}
