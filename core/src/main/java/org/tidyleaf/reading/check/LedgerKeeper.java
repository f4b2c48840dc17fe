package org.tidyleaf.reading.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.tidyleaf.reading.Entry;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Announces;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.model.Layouts;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Source;

/** Accounts for every line of the source: exactly one entry each, in order, or the reading itself is at fault. */
public final class LedgerKeeper {

    private LedgerKeeper() {}

    /** @param layouts what stands in tables of questions and in blocks, by the same places as {@code roles} */
    public static List<Entry> keep(Source source, List<Assigned> roles, int[] owners, Layouts layouts) {
        List<Entry> ledger = new ArrayList<>();
        for (int i = 0; i < roles.size(); i++) {
            Assigned piece = roles.get(i);
            if (piece.cues().piece().first()) {
                Line line = piece.cues().line();
                Role role = piece.step().role();
                String reason = "";
                if (role == Role.ASIDE) {
                    reason = inTable(i, layouts).orElse(reason(piece.cues()));
                }
                boolean more = piece.step().more();
                ledger.add(new Entry(line.number(), line.text(), role, reason, owners[i], piece.doubt(), more));
            }
        }
        // Options that run down the columns of a table are read in another order than their lines stand in.
        ledger.sort(Comparator.comparingInt(Entry::line));
        check(source, ledger);
        return ledger;
    }

    private static void check(Source source, List<Entry> ledger) {
        if (ledger.size() != source.lines().size()) {
            throw new IllegalStateException("the ledger has " + ledger.size() + " entries for "
                    + source.lines().size() + " lines");
        }
    }

    private static Optional<String> inTable(int index, Layouts layouts) {
        Optional<String> inColumn = layouts.columns().at(index).map(use -> switch (use.kind()) {
            case HEAD -> "name of a column or field";
            case LABEL -> use.name().isEmpty() ? "name of a column or field" : "label for the author";
            default -> "";
        });
        Optional<String> inBlock = layouts.blocks().at(index).map(kind -> switch (kind) {
            case SCALE -> "marking grid";
            case ANSWER_GRID -> "room for the answers to all questions";
            case TABLE_HEAD -> "name of a column or field";
            default -> "";
        });
        return inColumn.or(() -> inBlock).filter(reason -> !reason.isEmpty());
    }

    private static String reason(Cues cues) {
        Place place = cues.line().layout().place();
        if (place != Place.BODY && place != Place.TEXT_BOX) {
            return switch (place) {
                case HEADER -> "page header";
                case FOOTER -> "page footer";
                case FOOTNOTE -> "footnote";
                case PICTURE -> "inside the picture";
                case COMMENT -> "author's comment";
                default -> "hidden text";
            };
        }
        if (cues.is(Trait.WRITING_LINE)) {
            return "line to write on";
        }
        if (cues.is(Trait.FILL_IN)) {
            return "fill-in line";
        }
        if (cues.is(Trait.RULE)) {
            return "ornament";
        }
        if (cues.labels().stream().anyMatch(label -> label.kind() == Label.Kind.NUMBER && label.ordinal() == 0)) {
            return "example, already answered";
        }
        if (cues.is(Trait.OPTIONS_ONLY)) {
            return "heading of the options";
        }
        if (cues.announces(Announces.LABEL)) {
            return "label for the author";
        }
        if (cues.is(Trait.ONE_WILL_DO)) {
            return "says that one of the parts is to be answered";
        }
        return cues.is(Trait.END_WORD) ? "notice to the candidate" : "belongs to no question";
    }
}
