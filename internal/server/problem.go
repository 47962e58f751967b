package server

import (
	"encoding/json"
	"errors"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/internal/store"
)

// writeProblem answers with a problem outside of the API's typed handlers.
func writeProblem(w http.ResponseWriter, status int, detail string) {
	w.Header().Set("Content-Type", "application/problem+json")
	w.WriteHeader(status)
	_ = json.NewEncoder(w).Encode(huma.ErrorModel{Title: http.StatusText(status), Status: status, Detail: detail})
}

func notFound(w http.ResponseWriter, r *http.Request) {
	writeProblem(w, http.StatusNotFound, "There is nothing at "+clip(r.URL.Path)+".")
}

func methodNotAllowed(w http.ResponseWriter, r *http.Request) {
	writeProblem(w, http.StatusMethodNotAllowed, "That cannot be done at "+clip(r.URL.Path)+".")
}

// field is one field of a problem.
func field(location, message string, value any) *huma.ErrorDetail {
	return &huma.ErrorDetail{Location: location, Message: message, Value: value}
}

const notUnderstood = "Something was not understood. Each field says what is accepted."

func unprocessable(fields []error) error {
	return huma.Error422UnprocessableEntity(notUnderstood, fields...)
}

// bodyProblems turns what a plan did not understand into a problem.
func bodyProblems(ps batch.Problems, prefix string) error {
	fields := make([]error, len(ps))
	for i, p := range ps {
		fields[i] = field(prefix+p.Field, p.Text, p.Given)
	}
	return unprocessable(fields)
}

// storeProblem turns an error of the store into one for people.
func (s *server) storeProblem(err error, what string) error {
	switch {
	case errors.Is(err, store.ErrNotFound):
		return huma.Error404NotFound("There is no such " + what + ", or it was deleted.")
	case errors.Is(err, store.ErrChanged):
		return huma.Error409Conflict("This " + what + " was changed somewhere else since you opened it. Open it again to see how it stands; what you typed is still here.")
	case errors.Is(err, store.ErrLeftOverUsed):
		return huma.Error409Conflict("What was left over from it is in another batch. Open that one again first.")
	}
	s.log.Error("the store failed", "what", what, "error", err)
	if text, ok := faultWords[store.FaultOf(err)]; ok {
		return huma.Error503ServiceUnavailable("The " + what + " could not be kept or read: " + text + " Nothing was changed.")
	}
	return huma.Error500InternalServerError("The " + what + " could not be kept or read: the file did not answer. Nothing was changed.")
}

var faultWords = map[store.Fault]string{
	store.Full:      "the disk is full. Make room on it and try again.",
	store.Held:      "another program holds the file. Close that one, or try again in a moment.",
	store.ReadOnly:  "the file, or the folder that it is in, may not be written. Give this program the right to.",
	store.Unreached: "the disk does not answer. Is it still connected?",
	store.Damaged:   "the file is damaged. Put the newest backup back: mellisca restore.",
}
