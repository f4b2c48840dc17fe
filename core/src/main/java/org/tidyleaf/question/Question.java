package org.tidyleaf.question;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;

/** A question of one of the types that can be asked on a screen. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
@JsonSubTypes({
    @JsonSubTypes.Type(value = SingleChoice.class, name = "single-choice"),
    @JsonSubTypes.Type(value = MultipleChoice.class, name = "multiple-choice"),
    @JsonSubTypes.Type(value = TrueFalse.class, name = "true-false"),
    @JsonSubTypes.Type(value = TextEntry.class, name = "text-entry"),
    @JsonSubTypes.Type(value = NumericEntry.class, name = "numeric-entry"),
    @JsonSubTypes.Type(value = ExtendedText.class, name = "extended-text"),
    @JsonSubTypes.Type(value = Match.class, name = "match"),
    @JsonSubTypes.Type(value = Order.class, name = "order"),
    @JsonSubTypes.Type(value = Grid.class, name = "grid"),
    @JsonSubTypes.Type(value = GapMatch.class, name = "gap-match"),
    @JsonSubTypes.Type(value = TableEntry.class, name = "table-entry"),
    @JsonSubTypes.Type(value = Hottext.class, name = "hottext"),
    @JsonSubTypes.Type(value = PictureLabel.class, name = "picture-label")
})
public sealed interface Question
        permits ChoiceQuestion,
                TextEntry,
                NumericEntry,
                ExtendedText,
                Match,
                Order,
                Grid,
                GapMatch,
                TableEntry,
                Hottext,
                PictureLabel {

    Particulars particulars();

    Question withParticulars(Particulars particulars);

    /** Calls the method for this question's type. */
    <R> R match(Cases<R> cases);

    /** Whether its answers can be marked as it stands; a question for a person to mark always can. */
    boolean isKeyed();

    QuestionType type();

    default String id() {
        return particulars().id();
    }

    /** What another package does for each type; a new type adds a method here and so can't be forgotten anywhere. */
    interface Cases<R> {
        R choice(ChoiceQuestion question);

        R textEntry(TextEntry question);

        R numericEntry(NumericEntry question);

        R extendedText(ExtendedText question);

        R match(Match question);

        R order(Order question);

        R grid(Grid question);

        R gapMatch(GapMatch question);

        R tableEntry(TableEntry question);

        R hottext(Hottext question);

        R pictureLabel(PictureLabel question);
    }
}
