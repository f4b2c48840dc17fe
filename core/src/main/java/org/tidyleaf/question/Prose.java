package org.tidyleaf.question;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.tidyleaf.source.Blanks;
import org.tidyleaf.source.Emphasis;

/** Written content as a list of its parts, never as markup: renderers turn it into pages and files. May be empty. */
public record Prose(@JsonValue List<Inline> parts) {

    public static final Prose EMPTY = new Prose(List.of());

    private static final Pattern WRITTEN =
            Pattern.compile("\\\\\\((.+?)\\\\\\)|\\[\\[(\\d{1,3})]]|\n|\\*\\*(\\S[^*\n]*)\\*\\*");

    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    public Prose {
        parts = List.copyOf(parts);
    }

    /** Also from a plain text, as parts were kept that had no pictures or formulas yet. */
    @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
    public static Prose of(String text) {
        return text.isEmpty() ? EMPTY : new Prose(List.of(new Inline.Text(text, Set.of())));
    }

    /**
     * Reads what a teacher types: {@code \(x^2\)} is a formula, {@code [[1]]} a gap, {@code **not**} bold, a line end a break. Example: {@code
     * Prose.written("Bees have [[1]] legs.")}.
     */
    public static Prose written(String text) {
        List<Inline> parts = new ArrayList<>();
        Matcher matcher = WRITTEN.matcher(text);
        int at = 0;
        while (matcher.find()) {
            addText(parts, text.substring(at, matcher.start()));
            if (matcher.group(1) != null) {
                parts.add(new Inline.Formula(matcher.group(1)));
            } else if (matcher.group(2) != null) {
                parts.add(new Inline.Gap(Integer.parseInt(matcher.group(2))));
            } else if (matcher.group(3) != null) {
                parts.add(new Inline.Text(matcher.group(3), Set.of(Emphasis.BOLD)));
            } else {
                parts.add(new Inline.Break());
            }
            at = matcher.end();
        }
        addText(parts, text.substring(at));
        return new Prose(parts);
    }

    private static void addText(List<Inline> parts, String text) {
        if (!text.isEmpty()) {
            parts.add(new Inline.Text(text, Set.of()));
        }
    }

    /** All parts in their plain form, joined, with single spaces. */
    public String plain() {
        return Blanks.single(plainParts()).strip();
    }

    private String plainParts() {
        if (parts.size() == 1) {
            return parts.get(0).plain();
        }
        StringBuilder all = new StringBuilder();
        parts.forEach(part -> all.append(part.plain()));
        return all.toString();
    }

    /** What a teacher would type to get this prose; breaks are line ends, pictures stand apart and are not in it. */
    public String typed() {
        return parts.stream()
                .map(part -> part instanceof Inline.Break ? "\n" : part.plain())
                .collect(Collectors.joining())
                .strip();
    }

    public boolean isEmpty() {
        return parts.isEmpty();
    }

    /** The pictures in it, in order. */
    public List<Inline.Picture> pictures() {
        return parts.stream()
                .filter(Inline.Picture.class::isInstance)
                .map(Inline.Picture.class::cast)
                .toList();
    }

    public int gapCount() {
        return (int) parts.stream().filter(Inline.Gap.class::isInstance).count();
    }

    /** The same without its gaps. */
    public Prose withoutGaps() {
        List<Inline> kept = new ArrayList<>(parts);
        kept.removeIf(Inline.Gap.class::isInstance);
        Prose joined = new Prose(kept).joined();
        String typed = joined.typed();
        return joined.cut(0, typed.length());
    }

    /** The part between two places of the {@link #typed} form; pictures go with the first part. */
    public Prose cut(int from, int to) {
        List<Inline> kept = new ArrayList<>();
        int at = -leadingBlank();
        for (Inline part : parts) {
            int length = part instanceof Inline.Break ? 1 : part.plain().length();
            int start = Math.max(from, at);
            int end = Math.min(to, at + length);
            if (part instanceof Inline.Picture && from == 0) {
                kept.add(part);
            } else if (start < end && part instanceof Inline.Text text) {
                kept.add(new Inline.Text(text.text().substring(start - at, end - at), text.emphasis()));
            } else if (start < end && start == at) {
                kept.add(part);
            }
            at += length;
        }
        while (!kept.isEmpty() && kept.get(kept.size() - 1) instanceof Inline.Break) {
            kept.remove(kept.size() - 1);
        }
        return new Prose(kept);
    }

    /** How many blanks the typed form leaves out at the start. */
    private int leadingBlank() {
        String all = parts.stream()
                .map(part -> part instanceof Inline.Break ? "\n" : part.plain())
                .collect(Collectors.joining());
        return all.length() - all.stripLeading().length();
    }

    /** The same text with none of it set in any of these ways. */
    public Prose without(Set<Emphasis> emphasis) {
        return new Prose(parts.stream()
                        .map(part -> {
                            if (!(part instanceof Inline.Text text)) {
                                return part;
                            }
                            Set<Emphasis> kept = new HashSet<>(text.emphasis());
                            kept.removeAll(emphasis);
                            return new Inline.Text(text.text(), kept);
                        })
                        .toList())
                .joined();
    }

    /** The same with neighbours that are set alike as one text, and no double spaces in it. */
    public Prose joined() {
        List<Inline> joined = new ArrayList<>();
        for (Inline part : parts) {
            int last = joined.size() - 1;
            if (last >= 0
                    && part instanceof Inline.Text here
                    && joined.get(last) instanceof Inline.Text above
                    && here.emphasis().equals(above.emphasis())) {
                String text = (above.text() + here.text()).replaceAll(" {2,}", " ");
                joined.set(last, new Inline.Text(text, here.emphasis()));
            } else {
                joined.add(part);
            }
        }
        return new Prose(joined);
    }

    /** This prose with the other's parts behind its own. */
    public Prose plus(List<? extends Inline> others) {
        List<Inline> all = new ArrayList<>(parts);
        all.addAll(others);
        return new Prose(all);
    }

    /**
     * This prose with its text replaced by what a teacher typed: words that stay keep their emphasis, pictures stay at the
     * end.
     */
    public Prose edited(String text) {
        List<Set<Emphasis>> looks = Revision.carryOver(typed(), looks(), text, Set.of());
        List<Inline> parts = new ArrayList<>();
        int from = 0;
        for (int at = 1; at <= text.length(); at++) {
            if (at == text.length() || !looks.get(at).equals(looks.get(from))) {
                parts.addAll(setAs(written(text.substring(from, at)).parts(), looks.get(from)));
                from = at;
            }
        }
        return new Prose(parts).plus(pictures());
    }

    /** For each character of the typed form how it is set. */
    private List<Set<Emphasis>> looks() {
        List<Set<Emphasis>> looks = new ArrayList<>();
        for (Inline part : parts) {
            Set<Emphasis> look = part instanceof Inline.Text text ? text.emphasis() : Set.of();
            int length = part instanceof Inline.Break ? 1 : part.plain().length();
            for (int i = 0; i < length; i++) {
                looks.add(look);
            }
        }
        return looks;
    }

    private static List<Inline> setAs(List<Inline> parts, Set<Emphasis> emphasis) {
        return parts.stream()
                .map(part ->
                        part instanceof Inline.Text text ? new Inline.Text(text.text(), both(text, emphasis)) : part)
                .toList();
    }

    private static Set<Emphasis> both(Inline.Text text, Set<Emphasis> more) {
        Set<Emphasis> all = new HashSet<>(text.emphasis());
        all.addAll(more);
        return all;
    }
}
