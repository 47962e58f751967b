// Command searched makes the answers that the packing of mixed jars is held to:
// for each made-up set of jars and pot, how many found room in a long search.
//
//	go run ./scripts/searched -from 0 -to 500 -seconds 60 >> core/canner/testdata/searched.csv
//
// A line is the number of the set, which core/canner's test makes again, and how
// many jars were placed. It goes on where more are asked for.
package main

import (
	"flag"
	"fmt"
	"syscall"
	"time"

	"mellisca/core/canner"
)

func main() {
	from := flag.Int("from", 0, "the first set")
	to := flag.Int("to", 500, "the set to end before")
	seconds := flag.Float64("seconds", 60, "how long to search for one jar more in each set, in time of one processor")
	flag.Parse()
	for i := *from; i < *to; i++ {
		pot, jars := canner.MadeUpSet(i)
		in, left := pot.Fill(jars)
		n := len(in)
		end := worked() + time.Duration(*seconds*float64(time.Second))
		// The narrowest that are left out would be next; each round starts elsewhere.
		for round := uint64(1); len(left) > 0 && worked() < end; round++ {
			more, rest, hopeless := pot.OneMore(jars, n, round, 20*canner.Usual)
			if hopeless {
				break
			}
			if more != nil {
				n, left = len(more), rest
			}
		}
		fmt.Printf("%d,%d\n", i, n)
	}
}

// worked is the time that this program has had of a processor, so that a busy
// machine does not shorten the search.
func worked() time.Duration {
	var used syscall.Rusage
	if err := syscall.Getrusage(syscall.RUSAGE_SELF, &used); err != nil {
		panic(err) // there is no such machine
	}
	return time.Duration(used.Utime.Nano() + used.Stime.Nano())
}
