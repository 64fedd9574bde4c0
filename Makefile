# Everything a newcomer, a teacher who tries it, and CI need. `make help` lists it.
SHELL := /bin/bash
PORT ?= 8000
HOST ?= 127.0.0.1
N ?= 25
URL ?= http://127.0.0.1:$(PORT)
PY := .venv/bin/python
NPM := npm --prefix frontend
FRONT := $(shell find frontend/src frontend/public -type f 2>/dev/null) $(wildcard frontend/*.ts frontend/package-lock.json lantern/core/words/*.json)

.PHONY: help demo serve demo-reset backup restore students check test bench audit schema format shots clean

help: ## this list
	@grep -hE '^[a-z-]+:.*## ' $(MAKEFILE_LIST) | sed -E 's/:.*## /\t/' | expand -t 14

.stamps/venv: requirements.txt
	@mkdir -p .stamps
	python3 -m venv .venv
	@$(PY) -m pip install --quiet --disable-pip-version-check uv
	$(PY) -m uv pip install --quiet --compile-bytecode -r requirements.txt
	@touch $@

.stamps/venv-dev: requirements-dev.txt .stamps/venv
	$(PY) -m uv pip install --quiet --compile-bytecode -r requirements-dev.txt
	@touch $@

.stamps/node: frontend/package-lock.json
	@mkdir -p .stamps
	$(NPM) ci --no-audit --no-fund --loglevel=error
	@touch $@

.stamps/build: .stamps/node $(FRONT)
	$(NPM) run --silent build -- --logLevel warn
	@touch $@

.stamps/static: .stamps/venv .stamps/build
	@PLAIN_HTTP=1 $(PY) manage.py collectstatic --noinput --clear -v0
	@touch $@

demo: .stamps/static ## install, build, load the demo school, start the server (PORT=, HOST=0.0.0.0)
	@PLAIN_HTTP=1 $(PY) manage.py migrate -v0
	@PLAIN_HTTP=1 $(PY) manage.py load_demo --host $(HOST)
	@PLAIN_HTTP=1 $(PY) manage.py serve --host $(HOST) --port $(PORT) --hint \
	"\nTry this: run “Reading the harbour lights”, open the big screen, and let a class join\nfrom a second terminal:  make students CODE=(the code on the screen) N=25 PORT=$(PORT)\nA phone joins at /join."

serve: .stamps/static ## the same without the demo school; the first account is made by a link it prints (PORT=, HOST=)
	@PLAIN_HTTP=1 $(PY) manage.py migrate -v0
	@PLAIN_HTTP=1 $(PY) manage.py serve --host $(HOST) --port $(PORT)

demo-reset: ## throw the demo's data away and start anew
	rm -rf var/lantern.sqlite3* var/media
	@$(MAKE) --no-print-directory demo

backup: .stamps/venv ## the database and the media in one file, also while sessions run (TO=folder)
	@PLAIN_HTTP=1 $(PY) manage.py backup $(if $(TO),--to $(TO))

restore: .stamps/venv ## bring a backup back: make restore FILE=var/backups/…zip (the server stopped)
	@test -n "$(FILE)" || { echo "Which backup? As in: make restore FILE=var/backups/tall-lantern-20261128-101500.zip"; exit 1; }
	@PLAIN_HTTP=1 $(PY) manage.py restore $(FILE)

students: .stamps/venv ## made-up students join a session: make students CODE=KELP427 N=25
	@test -n "$(CODE)" || { echo "Which session? As in: make students CODE=KELP427 N=25"; exit 1; }
	@PLAIN_HTTP=1 $(PY) manage.py students $(CODE) -n $(N) --url $(URL)

schema: .stamps/venv-dev .stamps/node ## write the OpenAPI snapshot and the front end's types
	@PLAIN_HTTP=1 $(PY) manage.py export_openapi
	@$(PY) -m lantern.core.formats.json_format > docs/set.schema.json
	@$(PY) -m tools.messages
	@$(NPM) run --silent schema

format: .stamps/venv-dev .stamps/node ## format and mend what can be mended
	$(PY) -m ruff check --fix . && $(PY) -m ruff format .
	$(NPM) run --silent format

check: .stamps/venv-dev .stamps/static ## the quick part: lint, types, tests without a browser
	@$(MAKE) --no-print-directory -j2 --output-sync=target check-code check-python

.PHONY: check-code check-front check-lint check-python
check-code: # one core for this, the other for the tests: sharing both costs more than it saves
	@$(MAKE) --no-print-directory check-front check-lint

check-front: .stamps/node
	$(NPM) run --silent lint && $(NPM) run --silent types && $(NPM) run --silent unit

check-lint: .stamps/venv-dev
	$(PY) -m ruff check . && $(PY) -m ruff format --check .
	$(PY) -m mypy
	.venv/bin/lint-imports

check-python: .stamps/venv-dev
	HYPOTHESIS_PROFILE=wandering $(PY) -m pytest -q -n 0 -m "not journey and not slow"

test: ## everything, with the real interface in a browser
	@$(MAKE) --no-print-directory -j2 .stamps/venv-dev .stamps/static
	@$(MAKE) --no-print-directory -j2 --output-sync=target check-front check-lint
	@tools/need-browser
	@tools/need-engines
	$(PY) -m pytest -n 2

bench: .stamps/venv-dev ## the live path beside a bare server, figures as JSON lines
	@$(PY) -m bench

audit: .stamps/venv-dev .stamps/static ## what can be tried of the product's safety by itself (some 4 minutes)
	@$(PY) -m tools.audit

shots: .stamps/venv-dev .stamps/static ## take docs/screenshots anew from the demo school
	@tools/need-browser
	@$(PY) -m tools.shots

clean: ## remove what was installed and built (data stays)
	rm -rf .venv frontend/node_modules frontend/dist .stamps var/static
