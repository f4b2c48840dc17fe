package org.tidyleaf.web.export;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.tidyleaf.exchange.Outlet;
import org.tidyleaf.exchange.Paper;
import org.tidyleaf.exchange.StarterDocument;
import org.tidyleaf.intake.Intake;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Source;
import org.tidyleaf.tidying.Decisions;
import org.tidyleaf.tidying.Tidying;

/**
 * Reads a small test and writes it to nowhere in every format once the application is up, so that the first teacher waits
 * neither for fonts to load nor for code that has never run.
 */
@Component
class WarmUp {

    private static final Logger LOG = LoggerFactory.getLogger(WarmUp.class);

    /** So often until the virtual machine has compiled what is used most. */
    private static final int READINGS = 30;

    private static final int WRITINGS = 10;

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        Thread warming = new Thread(WarmUp::run, "warm-up");
        warming.setDaemon(true);
        warming.setPriority(Thread.MIN_PRIORITY);
        warming.start();
    }

    private static void run() {
        try {
            ByteArrayOutputStream starter = new ByteArrayOutputStream();
            StarterDocument.write(Paper.DOCX, starter);
            Source source = new Intake().read("starter.docx", starter.toByteArray());
            Quiz quiz = null;
            for (int i = 0; i < READINGS; i++) {
                quiz = Tidying.apply(source, new Decisions(List.of())).quiz();
            }
            Map<String, Figure> figures =
                    source.figures().stream().collect(Collectors.toMap(Figure::id, Function.identity()));
            for (int i = 0; i < WRITINGS; i++) {
                for (Outlet outlet : Outlet.values()) {
                    outlet.write(
                            quiz, figure -> Optional.ofNullable(figures.get(figure)), OutputStream.nullOutputStream());
                }
            }
        } catch (IOException | IntakeException impossible) {
            LOG.warn("the warm-up failed", impossible);
        }
    }
}
