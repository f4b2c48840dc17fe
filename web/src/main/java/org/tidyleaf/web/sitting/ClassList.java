package org.tidyleaf.web.sitting;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** The people a sitting is for, as pasted: a line each with name, number, mail and
 * "+15" for minutes more, parted by tabs, semicolons or commas. */
final class ClassList {

    /** A whole college sits in several sittings. */
    static final int MOST = 1000;

    private static final Set<String> HEADS = Set.of("name", "names", "student", "candidate", "pupil");
    private static final Pattern EXTRA = Pattern.compile("\\+\\s*(\\d{1,3})(?:\\s*min\\p{L}*\\.?)?");
    private static final int LONGEST = 120;

    private ClassList() {}

    /**
     * One person; number and mail may be empty.
     *
     * @param extra minutes more than the others have
     */
    record Person(String name, String number, String mail, int extra) {}

    /** Everyone on the list; a first line that only names the columns is left out. */
    static List<Person> read(String pasted) {
        List<Person> people = new ArrayList<>();
        String text = pasted.strip();
        if (text.isEmpty()) {
            return people;
        }
        char between = text.contains("\t") ? '\t' : text.contains(";") ? ';' : ',';
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(between)
                .setIgnoreSurroundingSpaces(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = format.parse(new StringReader(text))) {
            for (CSVRecord line : parser) {
                String name = cell(line, 0);
                boolean head = people.isEmpty() && HEADS.contains(name.toLowerCase(Locale.ROOT));
                if (!name.isEmpty() && !head && people.size() < MOST) {
                    people.add(person(line));
                }
            }
        } catch (IOException impossible) {
            throw new java.io.UncheckedIOException(impossible);
        }
        return people;
    }

    /** What has an at sign is a mail address and what has a plus is minutes, wherever they stand. */
    private static Person person(CSVRecord line) {
        String number = "";
        String mail = "";
        int extra = 0;
        for (int place = 1; place < line.size(); place++) {
            String cell = cell(line, place);
            Matcher minutes = EXTRA.matcher(cell);
            if (cell.contains("@")) {
                mail = cell;
            } else if (minutes.matches()) {
                extra = Integer.parseInt(minutes.group(1));
            } else if (number.isEmpty()) {
                number = cell;
            }
        }
        return new Person(cell(line, 0), number, mail, extra);
    }

    private static String cell(CSVRecord line, int place) {
        String text = place < line.size() ? line.get(place).strip() : "";
        return text.substring(0, Math.min(LONGEST, text.length()));
    }
}
