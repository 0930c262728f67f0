package dev.lonja.app.server;

import dev.lonja.desk.order.SupplierMail;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Carries orders to suppliers' systems and their answers back, every minute. */
@Component
class OrderRound {

  private final SupplierMail mail;

  OrderRound(SupplierMail mail) {
    this.mail = mail;
  }

  @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.MINUTES)
  void carry() {
    mail.carry();
  }
}
