/** What people of a shop do. */
package isokinon.core.person;
