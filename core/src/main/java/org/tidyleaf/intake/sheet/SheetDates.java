package org.tidyleaf.intake.sheet;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Undoes what spreadsheets do to "3-5": they take it for the 3rd of May, or the 5th of March, and write a day and a
 * month. The smaller number of a range comes first, so the order is known.
 */
final class SheetDates {

    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");

    /** Short names of months in other languages that begin otherwise. */
    private static final List<String> OTHER = List.of(
            "",
            "f\u00e9v",
            "m\u00e4r",
            "avr|abr",
            "mai|mag|maj|mei",
            "giu|cze",
            "lug|lip",
            "ao\u00fb|ago|sie",
            "set|wrz",
            "okt|ott|out|pa\u017a",
            "lis",
            "dez|dic|d\u00e9c|gru");

    /** "5-Mar", "05/mar", "5. Mrz" as spreadsheets show it; "12 June" was typed by a person. */
    private static final Pattern DAY_MONTH = Pattern.compile("(\\d{1,2})(?:[-/]|\\.\\s?)(\\p{L}{3,4})\\.?");

    private static final Pattern MONTH_DAY = Pattern.compile("(\\p{L}{3,4})\\.?[-/](\\d{1,2})");

    private SheetDates() {}

    /** The range that a cell shows as a date; empty for all other texts. */
    static Optional<String> range(String cell) {
        Matcher dayMonth = DAY_MONTH.matcher(cell.strip());
        if (dayMonth.matches()) {
            return range(Integer.parseInt(dayMonth.group(1)), month(dayMonth.group(2)));
        }
        Matcher monthDay = MONTH_DAY.matcher(cell.strip());
        return monthDay.matches()
                ? range(Integer.parseInt(monthDay.group(2)), month(monthDay.group(1)))
                : Optional.empty();
    }

    /** The same for a date given by its numbers; a month of 0 is none. */
    static Optional<String> range(int day, int month) {
        return month == 0 || day == 0
                ? Optional.empty()
                : Optional.of(Math.min(day, month) + "-" + Math.max(day, month));
    }

    private static int month(String name) {
        String start = name.toLowerCase(Locale.ROOT).substring(0, 3);
        int place = MONTHS.indexOf(start);
        for (int i = 0; place < 0 && i < OTHER.size(); i++) {
            place = List.of(OTHER.get(i).split("\\|")).contains(start) ? i : place;
        }
        return place + 1;
    }

    /** What the teacher is told. */
    static String message(String shown, String range) {
        return "The spreadsheet had made the date \u201c" + shown + "\u201d of a range. It is read as " + range
                + "; look whether that is right.";
    }
}
