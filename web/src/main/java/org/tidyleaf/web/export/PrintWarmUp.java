package org.tidyleaf.web.export;

import java.io.IOException;
import java.io.OutputStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.tidyleaf.exchange.Paper;
import org.tidyleaf.exchange.StarterDocument;

/** Prints a small test to nowhere once the application is up, so that the first teacher does not wait for fonts to load. */
@Component
class PrintWarmUp {

    private static final Logger LOG = LoggerFactory.getLogger(PrintWarmUp.class);

    @EventListener(ApplicationReadyEvent.class)
    void warmUp() {
        Thread printing = new Thread(PrintWarmUp::print, "print-warm-up");
        printing.setDaemon(true);
        printing.setPriority(Thread.MIN_PRIORITY);
        printing.start();
    }

    private static void print() {
        try {
            StarterDocument.write(Paper.PDF, OutputStream.nullOutputStream());
        } catch (IOException impossible) {
            LOG.warn("the warm-up print failed", impossible);
        }
    }
}
