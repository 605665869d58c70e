/** Tables as spreadsheets write them: CSV and workbooks. */
package isokinon.server.work.setup.file;
