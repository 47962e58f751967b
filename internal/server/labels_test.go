package server

import (
	"bytes"
	"fmt"
	"image/png"
	"net/http/httptest"
	"strings"
	"testing"
	"time"

	"github.com/makiuchi-d/gozxing"
	"github.com/makiuchi-d/gozxing/qrcode"
)

// file reads a file that the kitchen makes.
func (h *hobTest) file(path string, want int) []byte {
	h.t.Helper()
	r := httptest.NewRequest("GET", "http://localhost:8080"+path, nil)
	w := httptest.NewRecorder()
	if h.ServeHTTP(w, r); w.Code != want {
		h.t.Fatalf("%s: %d %s", path, w.Code, w.Body)
	}
	return w.Body.Bytes()
}

const sheetOf = `{"name":"%s","pageW":210,"pageH":297,"left":10,"top":12,"w":%g,"h":38,"gapX":2,"gapY":1,"columns":%d,"rows":7,"round":false}`

func TestLabels(t *testing.T) {
	h := shelved(t)
	b := h.ask("GET", "/api/labels", "", 200)
	usual := len(all(b, "sheets"))
	if b["address"] != "http://localhost" || !strings.Contains(b["warning"].(string), "--listen") || usual < 4 {
		t.Error(b)
	}
	for body, where := range map[string]string{fmt.Sprintf(sheetOf, " ", 62.0, 3): "body.name", fmt.Sprintf(sheetOf, "wide", 62.0, 9): "body.columns", fmt.Sprintf(sheetOf, "thin", 2.0, 3): "body.w"} {
		if e := all(h.ask("POST", "/api/labels/sheets", body, 422), "errors"); e[0]["location"] != where {
			t.Error(body, e)
		}
	}
	own := all(h.ask("POST", "/api/labels/sheets", fmt.Sprintf(sheetOf, "ours", 62.0, 3), 200), "sheets")[0]
	if own["own"] != true || own["text"] != "21 of 62 by 38 mm" {
		t.Error(own)
	}
	for _, bad := range []string{"kitchen", "ftp://x", "http://a/b", "http://"} {
		h.ask("PUT", "/api/labels/address", `{"address":"`+bad+`"}`, 422)
	}
	if b = h.ask("PUT", "/api/labels/address", `{"address":"http://192.168.1.20:8080/"}`, 200); b["warning"] != "" || b["address"] != "http://192.168.1.20:8080" {
		t.Error(b)
	}
	jar := all(h.ask("GET", "/api/shelf/jars?state=shelf", "", 200), "jars")[0]["id"].(string)
	img, err := png.Decode(bytes.NewReader(h.file("/api/files/label.png?jars="+jar, 200)))
	if err != nil {
		t.Fatal(err)
	}
	bits, err := gozxing.NewBinaryBitmapFromImage(img)
	if err != nil {
		t.Fatal(err)
	}
	read, err := qrcode.NewQRCodeReader().Decode(bits, nil)
	if err != nil || read.GetText() != "http://192.168.1.20:8080/shelf/jar/"+jar {
		t.Fatal(read, err)
	}
	load := h.ask("GET", "/api/shelf/jars/"+jar, "", 200)["load"].(string)
	if look := h.ask("GET", "/api/labels/look?load="+load+"&copies=4&sheet="+own["id"].(string), "", 200); look["text"] != "24 labels on 2 sheets" {
		t.Error(look)
	}
	if pdf := h.file("/api/files/labels.pdf?load="+load+"&first=3&sheet="+own["id"].(string), 200); !bytes.HasPrefix(pdf, []byte("%PDF-")) {
		t.Error("no PDF")
	}
	for path, says := range map[string]string{
		"/api/files/labels.pdf?load=" + load + "&first=40": "1 to 21", "/api/files/labels.pdf?jars=nosuch": "no such jar", "/api/files/labels.pdf": "No jar was chosen",
		"/api/files/labels.pdf?jars=" + jar + "&sheet=nosuch": "no such sheet",
	} {
		r := httptest.NewRequest("GET", "http://localhost"+path, nil)
		w := httptest.NewRecorder()
		if h.ServeHTTP(w, r); w.Code < 400 || !strings.Contains(w.Body.String(), says) {
			t.Error(path, w.Code, w.Body)
		}
	}
	if b = h.ask("POST", "/api/labels/print?load="+load, "", 200); b["printed"] != 6.0 {
		t.Error(b["printed"])
	}
	h.ask("DELETE", "/api/labels/sheets/"+own["id"].(string), "", 200)
	h.ask("PUT", "/api/shelf/jars/"+jar, `{"note":"桃 `+strings.Repeat("long ", 90)+`","allergens":"","useFirst":false}`, 200)
	warnings := fmt.Sprint(h.ask("GET", "/api/labels/look?jars="+jar, "", 200)["warnings"])
	if !strings.Contains(warnings, "No room for") || !strings.Contains(warnings, "桃") {
		t.Error(warnings)
	}
}

func TestPaper(t *testing.T) {
	h := shelved(t)
	for _, path := range []string{"/api/files/shelf.pdf", "/api/files/shelf.pdf?every=true", "/api/files/batches/" + h.ask("GET", "/api/shelf/jars/"+all(h.ask("GET", "/api/shelf/jars", "", 200), "jars")[0]["id"].(string), "", 200)["batch"].(string) + "/card.pdf"} {
		if pdf := h.file(path, 200); !bytes.HasPrefix(pdf, []byte("%PDF-")) || len(pdf) < 5000 {
			t.Error(path, len(pdf))
		}
	}
	_, refused := send(t, h, "POST", "/api/batches", `{"request":{"product":"banana","pack":"hot","jar":"pint","amount":"6 jars"}}`)
	h.file("/api/files/batches/"+refused["id"].(string)+"/card.pdf", 200)
	h.file("/api/files/batches/nosuchbatch/card.pdf", 404)
	if d, err := (&server{store: h.store, now: func() time.Time { return noon }}).shelfDocument(t.Context(), true); err != nil || len(d.Blocks) != 2 || len(d.Blocks[0].Rows) != 5 {
		t.Error(d, err)
	}
	refusal := cardOf(planBody{Headline: "bananas", Reasons: []codeText{{Text: "There is no tested time."}}}, "", "", false)
	if refusal.Big != "No time" || refusal.BigBy != "There is no tested time. " || refusal.Foot != "" {
		t.Error(refusal)
	}
}
