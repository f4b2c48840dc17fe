package org.tidyleaf.web.sitting;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** When a script's own time is over: the limit from its beginning, with what the person has more, never after the closing. */
final class Deadline {

    /** Answers that were on their way when the time was over are taken. */
    static final Duration GRACE = Duration.ofSeconds(5);

    private Deadline() {}

    /**
     * @param extra minutes that the person has by the list
     * @param events what the teacher did for the script
     */
    static Optional<Instant> of(Rules rules, Instant begun, int extra, List<ScriptEventEntity> events) {
        int given = events.stream().mapToInt(event -> event.minutes).sum();
        Optional<Instant> own = rules.minutes() == 0
                ? Optional.empty()
                : Optional.of(begun.plus(Duration.ofMinutes((long) rules.minutes() + extra + given)));
        // Who was given more time by hand keeps it beyond the closing.
        Optional<Instant> closes = rules.closes().map(time -> time.plus(Duration.ofMinutes(given)));
        return own.isPresent() && closes.isPresent()
                ? Optional.of(own.get().isBefore(closes.get()) ? own.get() : closes.get())
                : own.or(() -> closes);
    }
}
