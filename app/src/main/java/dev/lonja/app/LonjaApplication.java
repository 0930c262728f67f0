package dev.lonja.app;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.LonjaStore;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/**
 * The server. {@code lonja.data} names the folder of the data, {@code lonja.today} pins the day.
 */
@SpringBootApplication(scanBasePackages = "dev.lonja")
@EnableScheduling
public class LonjaApplication {

  /** The database's name within the folder of the data. */
  public static final String DATABASE = "lonja.db";

  @Bean
  LonjaStore lonjaStore(@Value("${lonja.data}") Path data) {
    return LonjaStore.open(data.resolve(DATABASE));
  }

  @Bean
  StoreClock storeClock(LonjaStore store, @Value("${lonja.today:}") String today) {
    Optional<LocalDate> pinned =
        Optional.of(today).filter(text -> !text.isEmpty()).map(LocalDate::parse);
    return StoreClock.of(store.read(session -> session.settings().timeZone()), pinned);
  }
}
