package org.tidyleaf.web;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;
import org.tidyleaf.intake.Intake;

/** Starts the application: pages over the core, PostgreSQL for all that lasts. */
@SpringBootApplication
public class Application {

    public static void main(String[] arguments) {
        SpringApplication.run(Application.class, arguments);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    @Bean
    Intake intake() {
        return new Intake();
    }
}
