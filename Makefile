# One command for each thing one does here. See README.md.
.PHONY: build web types demo test check loc shots bench clean

GO ?= go
WEB := web/node_modules/.package-lock.json

build: web ## bin/mellisca with the front end inside
	$(GO) build -o bin/mellisca ./cmd/mellisca

web: types ## the front end, into web/dist
	cd web && npx --no-install vite build --logLevel warn

types: $(WEB) ## the front end's types, from the API's own description
	@$(GO) run ./cmd/mellisca openapi > web/api.json
	@cd web && npx --no-install openapi-typescript api.json -o src/api/schema.d.ts > /dev/null

# Not "npm ci": it wants every platform's optional packages in the lock file. The
# versions are still those of the lock file, which is left as it is.
$(WEB): web/package.json web/package-lock.json
	cd web && npm install --no-save --no-audit --no-fund --loglevel=error

demo: build ## a made-up kitchen on http://127.0.0.1:8080
	bin/mellisca demo --listen 127.0.0.1:8080

check: web ## types, lint and layout of the front end, vet of the rest
	cd web && npm run --silent check
	$(GO) vet ./...
	@test -z "$$(gofmt -l cmd core internal e2e web/*.go)" || { gofmt -l cmd core internal e2e; echo "run gofmt -w on these"; exit 1; }

test: build check chromium ## everything that must hold
	$(GO) test ./...

.PHONY: chromium
chromium: ## the browser that the browser tests drive
	@scripts/install-chromium

bench: ## how fast the hot paths are, with the bounds they are held against
	$(GO) test -run '^$$' -bench . -benchmem ./core/... ./internal/...

loc: ## lines of code, and the share of tests
	@scripts/loc

shots: build chromium ## docs/screenshots, from the demo
	$(GO) run ./e2e/shots docs/screenshots

clean:
	rm -rf bin web/node_modules web/dist/assets web/dist/index.html web/api.json
