package org.unrulymarble.core.home;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.unrulymarble.core.Cases;
import org.unrulymarble.core.check.Refused;
import tools.jackson.databind.JsonNode;

/** A code says what was filled in, finds what was mistyped, and is believed only of its own card. */
class ReturnCodeTest {

    private static final byte[] KEY = "sixteen bytes ok".getBytes(java.nio.charset.StandardCharsets.US_ASCII);
    private static final List<Integer> MOST = List.of(10, 10, 8, 8, 73, 73, 30, 30);
    private static final ReturnCode CODE =
            new ReturnCode(4_711, 3, Arrays.asList(7, 9, 0, 8, 31, null, 30, 1), ReturnCode.Felt.HARD);

    @Test
    void reads_what_was_written_and_is_no_longer_than_24_characters() {
        Random random = new Random(7);
        for (int i = 0; i < 2_000; i++) {
            List<Integer> most = new ArrayList<>();
            List<Integer> numbers = new ArrayList<>();
            for (int box = 0; box < random.nextInt(9); box++) {
                most.add(random.nextInt(150));
                numbers.add(random.nextInt(5) == 0 ? null : (Integer) random.nextInt(most.get(box) + 1));
            }
            if (!ReturnCode.fits(most)) continue;
            ReturnCode.Felt felt = random.nextInt(4) == 3 ? null : ReturnCode.Felt.values()[random.nextInt(3)];
            ReturnCode said =
                    new ReturnCode(random.nextInt(ReturnCode.MOST_CARDS), random.nextInt(8) + 1, numbers, felt);

            String code = said.code(KEY, most);
            ReturnCode.Head head = ReturnCode.head(code.toLowerCase() + " ").head();
            assertThat(code.replace("-", "").length()).isLessThanOrEqualTo(24);
            assertThat(head.card()).isEqualTo(said.card());
            assertThat(ReturnCode.of(head, KEY, most)).contains(said);
        }
    }

    /** The page of a card makes the same ones: the same file is read by its tests. */
    @Test
    void makes_the_codes_of_the_worked_cases() throws IOException {
        JsonNode cases;
        try (InputStream in = getClass().getResourceAsStream("/home/codes.json")) {
            cases = Cases.JSON.readTree(in);
        }
        assertThat(cases.size()).isGreaterThan(5);
        for (JsonNode c : cases) {
            List<Integer> most = numbers(c.get("most"));
            ReturnCode.Felt felt = c.get("felt").isNull()
                    ? null
                    : ReturnCode.Felt.valueOf(c.get("felt").stringValue());
            ReturnCode said = new ReturnCode(
                    c.get("card").intValue(), c.get("practice").intValue(), numbers(c.get("numbers")), felt);
            assertThat(said.code(HexFormat.of().parseHex(c.get("key").stringValue()), most))
                    .isEqualTo(c.get("code").stringValue());
        }
    }

    private static List<Integer> numbers(JsonNode of) {
        List<Integer> numbers = new ArrayList<>();
        for (JsonNode n : of) numbers.add(n.isNull() ? null : (Integer) n.intValue());
        return numbers;
    }

    @Test
    void finds_every_single_wrong_character_and_every_swap_of_neighbours() {
        for (String right : List.of(CODE.code(KEY, MOST), ReturnCode.paper(99, 1, KEY))) {
            String code = right.replace("-", "");
            for (int at = 0; at < code.length(); at++) {
                for (char other : Letters.ALL.toCharArray())
                    if (other != code.charAt(at))
                        assertThat(ReturnCode.head(code.substring(0, at) + other + code.substring(at + 1))
                                        .wrong())
                                .isEqualTo(ReturnCode.Wrong.CHECK);
                if (at > 0 && code.charAt(at) != code.charAt(at - 1))
                    assertThat(ReturnCode.head(code.substring(0, at - 1)
                                            + code.charAt(at)
                                            + code.charAt(at - 1)
                                            + code.substring(at + 1))
                                    .wrong())
                            .isEqualTo(ReturnCode.Wrong.CHECK);
            }
        }
        assertThat(ReturnCode.head("22I2-2222-222").wrong()).isEqualTo(ReturnCode.Wrong.CHARACTER);
        assertThat(ReturnCode.head("2222").wrong()).isEqualTo(ReturnCode.Wrong.LENGTH);
    }

    @Test
    void is_not_believed_of_another_card_nor_when_somebody_made_the_numbers_better() {
        byte[] other = KEY.clone();
        other[0]++;
        String code = CODE.code(KEY, MOST).replace("-", "");
        assertThat(ReturnCode.of(ReturnCode.head(code).head(), other, MOST)).isEmpty();

        Random random = new Random(11);
        int believed = 0;
        int tried = 0;
        while (tried < 20_000) {
            char[] changed = code.toCharArray();
            for (int i = 0; i < 3; i++) changed[5 + random.nextInt(14)] = Letters.ALL.charAt(random.nextInt(23));
            String said = new String(changed, 0, changed.length - 1);
            String made = said + Letters.check(said);
            if (made.equals(code)) continue;
            tried++;
            if (ReturnCode.of(ReturnCode.head(made).head(), KEY, MOST).isPresent()) believed++;
        }
        assertThat(believed).isZero();
    }

    @Test
    void a_paper_number_is_of_its_card_and_says_nothing_else() {
        ReturnCode.Head head = ReturnCode.head(ReturnCode.paper(12, 2, KEY)).head();
        assertThat(head.paper()).isTrue();
        assertThat(head.card()).isEqualTo(12);
        assertThat(head.practice()).isEqualTo(2);
        assertThat(ReturnCode.paperOf(head, KEY)).isTrue();
        assertThat(ReturnCode.paperOf(head, new byte[16])).isFalse();
        assertThat(ReturnCode.of(head, KEY, List.of())).isEmpty();
    }

    @Test
    void refuses_a_number_that_its_box_cannot_hold() {
        assertThatThrownBy(() -> new ReturnCode(1, 1, List.of(11), null).code(KEY, List.of(10)))
                .isInstanceOfSatisfying(
                        Refused.class,
                        e -> assertThat(e.faults()).extracting("field").containsExactly("numbers[0]"));
    }
}
