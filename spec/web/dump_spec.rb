# frozen_string_literal: true

require "web_helper"
require "open3"
require "tmpdir"
require_relative "../support/demo_gym"

# Whoever reads a dump of the database reads nothing of anybody's health: every word of the demo that speaks of it is
# looked for in every column of every row.
RSpec.describe "A dump of the database" do
  demo = YAML.safe_load_file(Verglas::Demo::Loader::FILE)

  # Of machines nobody's health is told.
  let(:about_machines) { %i[schema_info machines machine_descriptions] }
  # Words that adjusters and marks have too: looked for as a value of their own.
  let(:common) { %w[back left right knee] }

  # Everything in every table, as text.
  def dump
    tables = db.tables - about_machines
    tables.to_h do |table|
      [table, db.fetch("SELECT to_jsonb(t)::text AS line FROM #{db.literal(table)} t").map(:line).join("\n")]
    end
  end

  # Signs, work, cautions with all that is said of them, reasons: through the same doors as anybody's.
  def fill
    DemoGym.lay(db)
    call(:post, "/auth/login", Verglas::Demo::Loader::SIGN_IN)
    loft = Verglas::Store::Gym.new(db, db[:gyms].get(:id))
    person = loft.clients.dataset.where(name: "Imre Talbot-Vane").get(:id)
    call(:patch, "/api/clients/#{person}", { version: 1, detail: "the one with the zxdetail" })
    call(
      :put,
      "/api/clients/#{person}/cautions",
      {
        caution: "back",
        version: nil,
        side: "",
        since: "2021-08-17",
        cleared_by: "Dr Zxclinician",
        cleared_on: "2022-09-18",
        load_to_kg: 41.5,
        degrees: {
          hip_flexion: {
            from: nil,
            to: 101.5
          }
        },
        note: "Zxnote"
      }
    )
    call(:put, "/api/clients/#{person}/cautions", { caution: "pregnancy", version: nil })
    call(:post, "/api/clients/#{person}/cautions/removal", { caution: "pregnancy", version: 1, reason: "Zxremoval" })
    call(:put, "/api/clients/#{person}/rules/tempo", { school: "slow", reason: "Zxreason", version: 1 })
    fit(loft, person)
  end

  def fit(loft, person)
    machine = loft.machines.all.find { |row| row[:name] == "Leg extension 1" }
    page =
      call(:get, "/api/fittings/#{call(:post, "/api/fittings", { client_id: person, machine_id: machine[:id] })["id"]}")
    work =
      Verglas::Application::Sheet::NO_WORK.merge(
        "load_kg" => 37.5,
        "felt" => "elsewhere",
        "felt_side" => "left",
        "last" => "not_reached"
      )
    sheet = {
      marks: page["marks"],
      version: page["version"],
      signs: %w[knee_ache],
      work: work,
      cue: "Zxcue",
      note: "Zxfitting",
      reason: "Zxoff",
      flow: {
        at: nil,
        done: {
        },
        skipped: {
          "roller" => "Zxskipped"
        }
      }
    }
    call(:post, "/api/fittings/#{page["id"]}/stop", { stop_sign: "faintness", sheet: sheet.merge(signs: []) })
  end

  def health_words(demo)
    cautions = Verglas::Guidance::Cautions::RULES.keys.map(&:to_s)
    limits = demo["clients"].flat_map { |person| person.fetch("limits", {}).keys } + %w[hip_bend straight_knee]
    notes =
      demo["clients"].flat_map do |person|
        person.fetch("cautions", {}).values.flat_map { |fields| fields.slice("note", "cleared_by", "side").values }
      end
    details = demo["clients"].filter_map { |person| person["detail"] }
    signs = (Verglas::Guidance::Signs::STOPS.map(&:to_s) + %w[knee_ache elsewhere not_reached worked felt])
    own = %w[
      zxdetail
      zxclinician
      zxnote
      zxremoval
      zxreason
      zxcue
      zxfitting
      zxoff
      zxskipped
      2021-08-17
      2022-09-18
      101.5
      41.5
      37.5
      hip_flexion
      knee_flexion
    ]
    (cautions + limits + notes + details + signs + own).compact.reject(&:empty?).uniq
  end

  def pattern(word)
    escaped = Regexp.escape(word.downcase)
    common.include?(word) ? /"#{escaped}"/ : /(?<![a-z0-9_])#{escaped}(?![a-z0-9_])/
  end

  it "tells no caution, no limit, no sign, no note, no clinician and nothing that was felt" do
    fill
    expect(status).to eq(200)
    words = health_words(demo)
    expect(words.size).to be > 40
    # A programme calls an exercise by its action, which is a motion's name too.
    called = Verglas::Machines::Declaration::ACTIONS.map { |action| "programmes: #{action}" }
    found =
      dump.flat_map do |table, text|
        words.select { |word| text.downcase.match?(pattern(word)) }.map { |word| "#{table}: #{word}" }
      end
    expect(found - called).to eq([])
  end

  it "tells neither in the log nor as a digest that could be made without the key which request was sent" do
    fill
    request = "PUT /api/clients/x/cautions\n{}"
    expect(Verglas::Store::Secrets.digest(request, :write)).not_to eq(Digest::SHA256.hexdigest(request))
    expect(Http::LOG.string.downcase).not_to match(/zx|back|pregnancy|imre/)
  end

  describe "as docs/security.md has it taken and put back" do
    around do |example|
      Dir.mktmpdir do |folder|
        FileUtils.mkdir_p("#{folder}/var")
        FileUtils.ln_s(TestDatabase::CLUSTER.send(:instance_variable_get, :@asked), "#{folder}/var/postgres")
        Dir.chdir(folder) { example.run }
      end
    ensure
      TestDatabase::CLUSTER.drop("verglas_again")
    end

    # The lines of the page, of the specs' own database.
    def lines
      File.read(File.join(Verglas::ROOT, "docs/security.md"))[/^## Copies.*?^((?:    [^\n]*\n)+)/m, 1].sub(
        /verglas$/,
        TestDatabase::NAME
      )
    end

    def shell(text)
      said, status = Open3.capture2e("bash", "-euc", text)
      expect(status).to be_success, said
      said
    end

    it "brings everything again, the trail with its owner, its numbers and its trigger" do
      DemoGym.lay(db)
      loft = Verglas::Store::Gym.new(db, db[:gyms].get(:id))
      2.times { loft.trail.add("signed_in", by: db[:accounts].get(:id)) }
      shell(lines)
      url = URI(TestDatabase::CLUSTER.database("verglas_again"))
      Sequel.connect(url.to_s, test: true) do |again|
        tables = db.tables - [:schema_info]
        expect(tables.to_h { |table| [table, again[table].count] }).to eq(
          tables.to_h { |table| [table, db[table].count] }
        )
        trail = again[Sequel[:kept][:audit]]
        last = trail.max(:id)
        trail.returning(nil).insert(gym_id: loft.id, account_id: 1, action: "signed_in")
        expect(trail.max(:id)).to be > last
        expect { trail.delete }.to raise_error(Sequel::DatabaseError, /permission denied/)
        expect(
          again.fetch("SELECT pg_get_userbyid(relowner) AS owner FROM pg_class WHERE oid = 'kept.audit'::regclass").get(
            :owner
          )
        ).to eq("verglas_admin")
        expect(
          again.fetch("SELECT count(*) AS triggers FROM pg_trigger WHERE tgname = 'audit_stays'").get(:triggers)
        ).to eq(1)
      end
    end

    it "can be taken by the application's role" do
      url = URI(TestDatabase::CLUSTER.database(TestDatabase::NAME))
      said =
        shell(
          "PGPASSWORD=#{url.password} pg_dump -h 127.0.0.1 -p #{url.port} -U verglas --format=custom " \
            "--file=own.copy #{TestDatabase::NAME} && pg_restore --list own.copy"
        )
      expect(said).to include("TABLE DATA kept audit", "SEQUENCE SET kept audit_id_seq")
    end
  end
end
