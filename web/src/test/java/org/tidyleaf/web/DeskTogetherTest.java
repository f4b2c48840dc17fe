package org.tidyleaf.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.TestInstance.Lifecycle;
import org.junit.jupiter.api.extension.ExtendWith;
import org.tidyleaf.web.RunningApplication.Address;

/** What comes from elsewhere: two people at one leaf, a lost connection, a drafted text. */
@ExtendWith(RunningApplication.class)
@TestInstance(Lifecycle.PER_CLASS)
class DeskTogetherTest {

    private Desk desk;
    private Page teacher;

    @BeforeAll
    void signIn(Address app) {
        desk = new Desk(app, "Nils Hart", "nils@wrenfield.example");
        teacher = desk.page();
    }

    @AfterAll
    void close() {
        desk.close();
    }

    @Test
    void twoPeopleSeeEachOtherAndNoneIsOverwrittenSilently() {
        desk.drop("Combs shared.txt", Desk.questions("Combs shared", 3, ""));
        String address = teacher.url();
        teacher.click("[data-share]");
        teacher.fill("#share-mail", "otto@wrenfield.example");
        teacher.keyboard().press("Enter");
        String link = teacher.locator("#sharing code").textContent();
        Page other = desk.other();
        other.navigate(address);
        other.navigate(link);
        other.fill("#name", "Otto Lind");
        other.fill("#password", "keeping-bees");
        other.click("text=Make the account");
        desk.signIn(other, "otto@wrenfield.example");
        other.navigate(address);
        Desk.whole(other);
        teacher.navigate(address);
        Desk.whole(teacher);
        desk.card(1).click();
        teacher.keyboard().press("e");
        desk.card(1).locator("[data-option-add]").click();
        teacher.keyboard().type("none");
        other.locator(".question-card").nth(1).click();
        other.keyboard().press("2");
        assertThat(desk.tally()).containsText("Otto Lind, elsewhere: key set.");
        teacher.keyboard().type(" of them");
        assertThat(desk.card(1).locator("[name=option]").last()).hasValue("none of them");
        assertThat(desk.tally()).containsText("keys 1 of 3");
        other.locator(".question-card").nth(0).click();
        other.keyboard().press("e");
        other.fill("[name=stem]", "How many cells, thinks Otto?");
        other.click(".card-form button.action-main");
        teacher.fill("[name=stem]", "How many cells, thinks Ines?");
        teacher.click(".card-form button.action-main");
        assertThat(desk.card(1)).containsText("Somebody changed this question while you typed");
        assertThat(desk.card(1)).containsText("thinks Otto?");
        assertThat(teacher.locator("[name=stem]")).hasValue("How many cells, thinks Ines?");
        teacher.click(".card-form button.action-main");
        assertThat(desk.card(1).locator(".question-card-stem")).hasText("How many cells, thinks Ines?");
        assertThat(other.locator(".question-card-stem").first()).hasText("How many cells, thinks Ines?");
        other.navigate(link);
        assertThat(other.locator("main")).containsText("This link has served already");
        other.close();
    }

    @Test
    void whatIsDoneWithoutAConnectionIsSentWhenItIsBack() {
        desk.drop("Combs far.txt", Desk.questions("Combs far", 3, ""));
        teacher.context().setOffline(true);
        desk.card(1).click();
        teacher.keyboard().press("1");
        assertThat(teacher.locator("[data-offline]")).isVisible();
        desk.card(2).click();
        teacher.keyboard().press("2");
        assertThat(desk.tally()).containsText("keys 0 of 3");
        teacher.context().setOffline(false);
        assertThat(desk.tally()).containsText("keys 2 of 3");
        assertThat(teacher.locator("[data-offline]")).isHidden();
        assertThat(desk.card(2).locator(".is-key")).hasText(Pattern.compile("B\\s*202"));
    }

    @Test
    void aDraftIsWrittenFromATextAndReadLikeAnyOther(Address app) {
        teacher.navigate(app.url("/"));
        teacher.click("text=questions drafted from a text");
        teacher.fill("#passage", "Bees dance.");
        teacher.click("text=Draft them");
        assertThat(teacher.locator(".fault")).containsText("says too little");
        assertThat(teacher.locator("#passage")).hasValue("Bees dance.");
        teacher.fill(
                "#passage",
                "A smoker calms the bees before an inspection. The keeper opens the hive from behind. Frames are lifted"
                        + " slowly and held above the hive. A frame of brood weighs about 2 kilograms in summer.");
        teacher.fill("#questions", "3");
        Assertions.assertThat(desk.violations()).isEmpty();
        teacher.click("text=Draft them");
        Locator row = teacher.locator(".leaf-row:has-text('Drafted, check')").first();
        row.getByText("Review").click();
        Desk.whole(teacher);
        assertThat(desk.tally()).containsText("keys 3 of 3");
        assertThat(teacher.locator(".questions-passage")).containsText("A smoker calms the bees");
    }
}
