// Package label lays text and a code out on labels: a grid of them on a sheet, rounds for
// lids, the end of a box. Text never runs over its label: it is wrapped, then set smaller,
// and at last the least important of it is left out.
//
//	sheet := label.Sheet{PageW: 210, PageH: 297, Left: 8, Top: 12, W: 63, H: 38, GapX: 2, GapY: 0, Columns: 3, Rows: 7}
//	laid, err := label.Lay(sheet.Shape(), label.Text{…}, font)
//
// All lengths are millimetres, sizes of letters points.
package label
