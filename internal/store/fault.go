package store

import (
	"errors"

	"modernc.org/sqlite"
)

// Fault is why the file itself did not take or give something.
type Fault string

// The faults that a cook can do something about.
const (
	NoFault   Fault = ""
	Full      Fault = "full"      // the disk is
	Held      Fault = "held"      // another program holds the file
	ReadOnly  Fault = "read-only" // the file or its folder may not be written
	Unreached Fault = "unreached" // the disk does not answer
	Damaged   Fault = "damaged"
)

// SQLite's own result codes.
const (
	busy, locked, readOnly, ioErr, corrupt, full, cantOpen, notADB = 5, 6, 8, 10, 11, 13, 14, 26
)

// FaultOf says which fault of the file is behind an error.
func FaultOf(err error) Fault {
	var se *sqlite.Error
	if !errors.As(err, &se) {
		return NoFault
	}
	switch se.Code() & 0xff {
	case busy, locked:
		return Held
	case readOnly:
		return ReadOnly
	case ioErr, cantOpen:
		return Unreached
	case full:
		return Full
	case corrupt, notADB:
		return Damaged
	}
	return NoFault
}
