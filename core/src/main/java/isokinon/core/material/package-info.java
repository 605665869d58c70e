/** Materials, fluids and what each does to the other: the open tables and their reader. */
package isokinon.core.material;
