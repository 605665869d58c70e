/** Life: what the library expects, what this shop's runs say. */
package isokinon.core.life;
