package main

import (
	"context"
	"errors"
	"flag"
	"fmt"
	"io"
	"net/http"
	"time"

	"mellisca/core/canner"
	"mellisca/core/measure"
	"mellisca/internal/device"
)

// runSensors sends the readings of a simulated thermometer and scale to a kitchen until
// ctx ends.
func runSensors(ctx context.Context, args []string, out io.Writer) error {
	flags := flag.NewFlagSet("mellisca sensors", flag.ContinueOnError)
	flags.SetOutput(out)
	to := flags.String("to", "http://127.0.0.1:8080", "the kitchen's address")
	in := flags.String("canner", "the enamel canner", "the canner that the thermometer stands in")
	every := flags.Duration("every", 5*time.Second, "how often to read")
	if err := flags.Parse(args); err != nil {
		return err
	}
	if *every <= 0 {
		return errors.New("say how often to read: a time such as 5s")
	}
	pot := device.NewPotThermometer(&canner.Simulated{
		Pot: canner.Default, Burner: canner.Burner{Watts: 3500, Kind: canner.Gas}, Boil: measure.Celsius(96.6), Room: measure.Celsius(22), Litres: 14, Celsius: 82, Heat: 1,
	}, 1)
	scale := &device.BenchScale{}
	scale.Put(measure.Pounds(24))
	post := device.Post{Address: *to, Client: &http.Client{Timeout: 10 * time.Second}}
	tick := time.NewTicker(*every)
	defer tick.Stop()
	for {
		err := errors.Join(post.Weight(ctx, "bench", scale), post.Temperature(ctx, *in, pot))
		if ctx.Err() != nil {
			return nil
		}
		if err != nil {
			fmt.Fprintln(out, err) // and goes on: a sensor does not give up
		} else {
			fmt.Fprintln(out, "sent")
		}
		select {
		case <-ctx.Done():
			return nil
		case <-tick.C:
			pot.Run(every.Seconds())
		}
	}
}
