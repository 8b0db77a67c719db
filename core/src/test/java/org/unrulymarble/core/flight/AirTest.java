package org.unrulymarble.core.flight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Flights with the air in them against those without it, and at the ends of what may be asked. */
class AirTest {

    static Stream<Random> seeds() {
        return IntStream.range(0, 40).mapToObj(seed -> new Random(400 + seed));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void without_drag_the_band_is_that_of_the_plain_flight(Random random) {
        double angle = 5 + random.nextDouble() * 50;
        double net = 3 + random.nextDouble() * 5;
        double stand = 1 + random.nextDouble() * (net - 1);
        double within = 3 + random.nextDouble() * 6;
        WallMark plain = WallMark.of(new WallMark.WallMarkAsk(1.8, angle, net, 1.5, 0.1, within, stand));
        WallMarkAir air =
                WallMarkAir.of(new WallMarkAir.WallMarkAirAsk(1.8, angle, net, 1.5, 0.1, within, stand, 0.1, 0.3, 0.0));

        assertThat(air.feasible()).isEqualTo(plain.feasible());
        if (!plain.feasible()) return;
        assertThat(air.lowMarkM()).isCloseTo(plain.lowMarkM(), within(1e-6));
        assertThat(air.highMarkM()).isCloseTo(plain.highMarkM(), within(1e-6));
        assertThat(air.minSpeedMs()).isCloseTo(plain.minSpeedMs(), within(1e-6));
    }

    @Test
    void a_light_ball_must_be_hit_faster_and_passes_the_wall_higher() {
        WallMarkAir heavy = band(2.0);
        WallMarkAir foam = band(0.06);

        assertThat(foam.minSpeedMs()).isGreaterThan(heavy.minSpeedMs() + 0.3);
        assertThat(foam.lowMarkM()).isGreaterThan(heavy.lowMarkM() + 0.03);
    }

    private static WallMarkAir band(double massKg) {
        return WallMarkAir.of(new WallMarkAir.WallMarkAirAsk(1.7, 40.0, 6.0, 2.2, 0.1, 8.0, 3.0, 0.1, massKg, 0.5));
    }

    @Test
    void where_it_lands_it_has_no_height_and_a_step_further_none_is_given() {
        FlightAir flight = flight(1.0, 30, null);

        assertThat(flight(1.0, 30, flight.rangeM()).heightAtXM()).isZero();
        assertThat(flight(1.0, 30, flight.rangeM() + 0.001).heightAtXM()).isNull();
        assertThat(flight(1.0, 30, 0.0).speedAtXMs()).isEqualTo(8);
    }

    @Test
    void a_feather_from_two_hundred_metres_comes_down_in_the_end() {
        FlightAir feather = FlightAir.of(new FlightAir.FlightAirAsk(200.0, 60.0, 45.0, 0.5, 0.001, 2.0, null));

        double steadyMs = Math.sqrt(9.81 / (1.204 * 2.0 * Math.PI * 0.25 / 0.002));
        assertThat(feather.landsSpeedMs()).isCloseTo(steadyMs, within(1e-6));
        assertThat(feather.timeSec()).isCloseTo(200 / steadyMs, within(1.0));
    }

    @Test
    void a_ball_rolled_along_the_floor_does_not_fly() {
        assertThat(flight(0, 0, null)).isEqualTo(new FlightAir(0, 0, 0, 8, 1, null, null));
    }

    private static FlightAir flight(double heightM, double angleDeg, Double toXM) {
        return FlightAir.of(new FlightAir.FlightAirAsk(heightM, 8.0, angleDeg, 0.1, 0.2, 0.5, toXM));
    }
}
