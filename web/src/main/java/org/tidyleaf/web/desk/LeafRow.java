package org.tidyleaf.web.desk;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.tidyleaf.web.leaf.LeafState;
import org.tidyleaf.web.leaf.LeafSummary;

/**
 * One leaf on the desk.
 *
 * @param title what it is called, or its file name while unread
 * @param when the file and the day, in words
 * @param bars its spine in small: about a dozen bars
 */
record LeafRow(
        UUID id,
        String title,
        String when,
        LeafState state,
        String problem,
        int questions,
        int missingKeys,
        int snags,
        List<Bar> bars) {

    private static final int BARS = 11;
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);

    /**
     * A bar of the small spine, in units of the drawing.
     *
     * @param kind the role's name in the style sheet
     */
    record Bar(int x, int y, int width, String kind) {}

    public boolean isPending() {
        return state == LeafState.WAITING || state == LeafState.READING;
    }

    public boolean isRead() {
        return state == LeafState.READ;
    }

    static LeafRow of(LeafSummary leaf, LocalDate today, ZoneId zone) {
        String title = leaf.title().isEmpty() ? leaf.fileName() : leaf.title();
        return new LeafRow(
                leaf.id(),
                title,
                leaf.fileName() + " \u00b7 " + when(leaf, today, zone),
                leaf.state(),
                leaf.problem(),
                leaf.questionCount(),
                leaf.questionCount() - leaf.keyedCount(),
                leaf.snagCount(),
                bars(leaf.spine()));
    }

    private static String when(LeafSummary leaf, LocalDate today, ZoneId zone) {
        ZonedDateTime time = leaf.touchedAt().atZone(zone);
        if (time.toLocalDate().equals(today)) {
            return "today " + TIME.format(time);
        }
        return time.toLocalDate().equals(today.minusDays(1)) ? "yesterday" : DAY.format(time);
    }

    /** Samples the line roles evenly; a stem or heading in a sample wins over what is less telling. */
    private static List<Bar> bars(String spine) {
        List<Bar> bars = new ArrayList<>();
        int count = Math.min(BARS, spine.length());
        for (int i = 0; i < count; i++) {
            char role = spine.charAt(i * spine.length() / count);
            String kind = role == 'S' ? "strong" : role == 'A' ? "faint" : role == 'T' ? "head" : "soft";
            int width = role == 'A' ? 8 : role == 'T' ? 26 : role == 'S' ? 22 : 14;
            bars.add(new Bar(18 - width / 2, 5 + i * 3, width, kind));
        }
        return bars;
    }
}
