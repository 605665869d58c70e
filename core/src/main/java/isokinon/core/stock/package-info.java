/** What lies on the shelf: which kit renews a set, how a lot stands, what is free of it. */
package isokinon.core.stock;
