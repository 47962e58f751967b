package main

import (
	"flag"
	"fmt"
	"io"

	"mellisca/core/measure"
	"mellisca/internal/exchange"
)

// runTables prints the tested rows, to be held against the printed guide.
func runTables(args []string, out io.Writer) error {
	flags := flag.NewFlagSet("mellisca tables", flag.ContinueOnError)
	flags.SetOutput(out)
	format := flags.String("format", "text", "text, csv or json")
	altitude := flags.String("altitude", "", "marks the column of this altitude in text, such as 3,480 ft")
	if err := flags.Parse(args); err != nil {
		return err
	}
	if flags.NArg() > 0 {
		return fmt.Errorf("%q was not expected; see mellisca help", flags.Arg(0))
	}
	f, err := exchange.ParseFormat(*format)
	if err != nil {
		return err
	}
	var at *measure.Altitude
	if *altitude != "" {
		a, err := measure.ParseAltitude(*altitude)
		if err != nil {
			return err
		}
		at = &a
	}
	return exchange.Tables(out, f, at)
}
