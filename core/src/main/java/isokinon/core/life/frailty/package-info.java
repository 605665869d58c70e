/** Lives of a group of pumps together: Weibull lives with a frailty of the pump, by quadrature. */
package isokinon.core.life.frailty;
