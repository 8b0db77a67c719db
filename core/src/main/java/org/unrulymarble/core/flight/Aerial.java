package org.unrulymarble.core.flight;

import static org.unrulymarble.core.flight.Gravity.G;

import java.util.function.ToDoubleFunction;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketedUnivariateSolver;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.events.Action;
import org.hipparchus.ode.events.AdaptableInterval;
import org.hipparchus.ode.events.ODEEventDetector;
import org.hipparchus.ode.events.ODEEventHandler;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.unrulymarble.core.check.Checks;

/**
 * A ball in the air, without spin: acceleration = -g - k |v| v, k = density x drag coefficient x cross-section / (2 mass). Source: drag
 * that grows with the square of the speed; integrated by Dormand and Prince's 8(5,3).
 *
 * @param dragPerM k, per metre
 */
record Aerial(double dragPerM) {

    /** Air at 20 degrees at sea level, kg/m3. */
    private static final double DENSITY = 1.204;

    /** Places in the state: x, height, and their speeds. */
    private static final int X = 0;

    private static final int HEIGHT = 1;
    private static final int SIDEWAYS = 2;
    private static final int RISING = 3;

    private static final double TOLERANCE = 1e-10;

    /** Longer than any flight that is asked for; a feather from 200 m is down before. */
    private static final double END_SEC = 100_000;

    static Aerial of(double radiusM, double massKg, double dragCoefficient) {
        return new Aerial(DENSITY * dragCoefficient * Math.PI * radiusM * radiusM / (2 * massKg));
    }

    /** What both questions ask of a ball. */
    static Checks checked(Checks checks, Double radiusM, Double massKg, Double dragCoefficient) {
        return checks.range("radiusM", radiusM, 0.005, 0.5)
                .range("massKg", massKg, 0.001, 20)
                .range("dragCoefficient", dragCoefficient, 0, 2);
    }

    /** Where the ball's middle is and how fast it goes. */
    record Moment(double timeSec, double xM, double heightM, double speedMs) {
        private static Moment of(ODEState state) {
            double[] y = state.getPrimaryState();
            return new Moment(state.getTime(), y[0], y[1], Math.hypot(y[2], y[3]));
        }
    }

    /**
     * @param atX the ball over the place asked for; null where it is down before or nothing was asked
     */
    record Flown(Moment landing, double apexM, Moment atX) {}

    /** From the launch to the floor. */
    Flown fly(double launchHeightM, double speedMs, double angleDeg, Double toXM) {
        Noted apex = new Noted(y -> y[RISING], Action.CONTINUE);
        Noted over = new Noted(y -> toXM == null ? -1 : y[X] - toXM, Action.CONTINUE);
        Moment down = run(launchHeightM, speedMs, angleDeg, apex, over);
        double top = apex.seen == null ? launchHeightM : Math.max(launchHeightM, apex.seen.heightM());
        return new Flown(down, top, over.seen);
    }

    /** Height over a place, also below the floor; {@code leastM} where it has fallen to that before. */
    double heightAt(double launchHeightM, double speedMs, double angleDeg, double xM, double leastM) {
        Moment end = run(launchHeightM - leastM, speedMs, angleDeg, new Noted(y -> y[X] - xM, Action.STOP));
        return end.heightM() + leastM;
    }

    /** The highest place of its middle on the way to x. */
    double topUpTo(double launchHeightM, double speedMs, double angleDeg, double xM) {
        Noted apex = new Noted(y -> y[RISING], Action.CONTINUE);
        Moment end = run(launchHeightM, speedMs, angleDeg, apex, new Noted(y -> y[X] - xM, Action.STOP));
        double top = Math.max(launchHeightM, end.heightM());
        return apex.seen == null ? top : Math.max(top, apex.seen.heightM());
    }

    /** Until the floor, or until something noted stops it. */
    private Moment run(double heightM, double speedMs, double angleDeg, Noted... noted) {
        DormandPrince853Integrator integrator = new DormandPrince853Integrator(1e-12, 1_000, TOLERANCE, TOLERANCE);
        integrator.addEventDetector(Noted.floor());
        Noted settled = new Noted(this::offSettled, Action.STOP);
        if (dragPerM > 0) integrator.addEventDetector(settled);
        for (Noted n : noted) integrator.addEventDetector(n);
        double angle = Math.toRadians(angleDeg);
        double[] launch = {0, heightM, speedMs * Math.cos(angle), speedMs * Math.sin(angle)};
        Moment end = Moment.of(integrator.integrate(new Drag(), new ODEState(0, launch), END_SEC));
        if (settled.seen == null) return end;
        // From here it falls straight down: a feather's long way is not walked in small steps.
        double fallsMs = Math.sqrt(G / dragPerM);
        return new Moment(end.timeSec() + end.heightM() / fallsMs, end.xM(), 0, fallsMs);
    }

    /** How far its speed still is from that of a steady fall, less what no longer matters. */
    private double offSettled(double[] y) {
        double fallsMs = Math.sqrt(G / dragPerM);
        return Math.hypot(y[SIDEWAYS], y[RISING] + fallsMs) / fallsMs - 1e-7;
    }

    private final class Drag implements OrdinaryDifferentialEquation {
        @Override
        public int getDimension() {
            return 4;
        }

        @Override
        public double[] computeDerivatives(double t, double[] y) {
            double slowing = dragPerM * Math.hypot(y[2], y[3]);
            return new double[] {y[2], y[3], -slowing * y[2], -G - slowing * y[3]};
        }
    }

    /** The moment at which a figure of the state comes to nought. */
    private static final class Noted implements ODEEventDetector {
        private final ToDoubleFunction<double[]> figure;
        private final ODEEventHandler handler;
        private Moment seen;

        Noted(ToDoubleFunction<double[]> figure, Action then) {
            this.figure = figure;
            handler = (state, detector, rising) -> {
                if (seen == null) seen = Moment.of(state);
                return then;
            };
        }

        private Noted(ToDoubleFunction<double[]> figure, ODEEventHandler handler) {
            this.figure = figure;
            this.handler = handler;
        }

        /** A ball that starts on the floor leaves it first. */
        static Noted floor() {
            return new Noted(y -> y[HEIGHT], (state, detector, rising) -> rising ? Action.CONTINUE : Action.STOP);
        }

        @Override
        public AdaptableInterval getMaxCheckInterval() {
            return AdaptableInterval.of(0.5);
        }

        @Override
        public int getMaxIterationCount() {
            return 100;
        }

        @Override
        public BracketedUnivariateSolver<UnivariateFunction> getSolver() {
            return new BracketingNthOrderBrentSolver(0, 1e-12, 0, 5);
        }

        @Override
        public ODEEventHandler getHandler() {
            return handler;
        }

        @Override
        public double g(ODEStateAndDerivative state) {
            return figure.applyAsDouble(state.getPrimaryState());
        }
    }
}
