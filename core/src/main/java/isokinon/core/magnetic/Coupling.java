package isokinon.core.magnetic;

import isokinon.core.magnetic.MagnetMargin.Magnet;

/**
 * A magnetic coupling and the point the pump is built for.
 *
 * @param magnet material of the magnets
 * @param ratedNm torque at which it slips at 20 degC, N·m
 * @param mostC magnets hotter than this lose for good, degC
 * @param flowM3h flow, m3/h
 * @param headM head, m
 * @param efficiency of the pump there, over 0 to 1
 * @param rpm turns a minute
 * @param motorPeakNm peak torque of the motor at a direct start, N·m
 * @param loadInertia inertia of the driven side, kg·m2
 * @param motorInertia inertia of the motor side, kg·m2
 */
public record Coupling(
    Magnet magnet,
    double ratedNm,
    double mostC,
    double flowM3h,
    double headM,
    double efficiency,
    double rpm,
    double motorPeakNm,
    double loadInertia,
    double motorInertia) {}
