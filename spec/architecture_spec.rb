# frozen_string_literal: true

require "ripper"

# The layout of docs/architecture.md, held by reading the code: what each folder may use.
RSpec.describe "The architecture" do
  root = Verglas::ROOT
  files = ->(folder) { Dir[File.join(root, folder, "**", "*.rb")] }
  # Code without comments and strings, so that a word in a sentence is no use of a thing.
  code =
    lambda do |file|
      Ripper
        .lex(File.read(file))
        .reject { |(_, type, _)| %i[on_comment on_tstring_content on_embdoc].include?(type) }
        .map { |token| token[2] }
        .join
    end

  # Each line may use only those above it.
  order = %w[Geometry Statistics Body Machines Linkages Mechanisms Telling Scenes Fitting Guidance Loading Planning]

  it "lets no part of the core use one that stands below it" do
    order.each_with_index do |name, index|
      below = order.drop(index + 1)
      files
        .call("core/#{name.downcase}")
        .each do |file|
          used = code.call(file).scan(/\b([A-Z]\w+)(?:::|\.|\[)/).flatten & below
          expect(used).to be_empty, "#{file} uses #{used.join(", ")}"
        end
    end
  end

  it "keeps database, web, network, clock and chance out of the core" do
    # One file draws, by a seed alone: the same text is the same draw.
    seeded = files.call("core").grep(%r{/statistics/chance\.rb\z})
    expect(seeded.map { |file| code.call(file).scan(/\b(?:rand|Random)\b[^\n]*/) }).to eq(
      [%w[Random.new(Zlib.crc32(text)) rand rand(count)]]
    )
    (files.call("core") - seeded).each do |file|
      forbidden =
        code.call(file)[
          /\b(Sequel|PG|Sinatra|Rack|Roda|Rodauth|JSON|I18n|Store|Web|Formats|Net|Socket|Time|Date|Process|ENV|
               rand|Random|SecureRandom)\b/x
        ]
      expect(forbidden).to be_nil, "#{file} uses #{forbidden}"
    end
  end

  it "lets only Tables read files, and only the standard library be required there" do
    files
      .call("core")
      .each do |file|
        text = code.call(file)
        unless file.match?(%r{core/tables(/source)?\.rb\z})
          expect(text).not_to match(/\b(File|IO|Dir|Kernel|YAML|Psych)\b/), file
        end
        expect(File.read(file).scan(/^\s*require "([^"]+)"/).flatten - %w[yaml matrix zlib]).to be_empty, file
      end
  end

  it "keeps SQL and computation apart: no SQL outside the store, no core computation inside it" do
    (files.call("core") + files.call("application") + files.call("web") + files.call("formats")).each do |file|
      expect(File.read(file)).not_to match(/\b(SELECT|INSERT INTO|UPDATE \w+ SET|DELETE FROM)\b/), file
    end
    files
      .call("store")
      .each do |file|
        expect(code.call(file)).not_to match(/\b(Fitting|Guidance|Mechanisms|Statistics|Geometry|Application|Web)\b/),
        file
      end
  end

  it "gives no two routes a helper of one name: the later would stand in for the earlier" do
    helpers =
      Dir[File.join(root, "web", "routes", "*.rb")].flat_map do |file|
        File.read(file)[/module Helpers.*/m].to_s.scan(/def (\w+[?!]?)/)
      end
    shared = File.read(File.join(root, "web", "requests.rb")).scan(/def (\w+[?!]?)/)
    expect(helpers.size).to be > 20
    expect([*helpers, *shared].flatten.tally.select { |_, count| count > 1 }).to eq({})
  end

  it "loads the core with no database and no web gem" do
    script =
      "require './config/core'; abort($LOADED_FEATURES.grep(/sequel|rack|sinatra|roda|pg\\.so/).join(' ')) if " \
        "defined?(Sequel) || defined?(Rack)"
    expect(system(RbConfig.ruby, "-e", script, chdir: root)).to be(true)
  end

  it "lets what stands between store and web know no HTTP and no view, and store and formats nothing above them" do
    files
      .call("application")
      .each { |file| expect(code.call(file)).not_to match(/\b(Web|Views|Inputs|Routes|Rack|Sinatra|Rodauth)\b/), file }
    (files.call("store") + files.call("formats")).each do |file|
      expect(code.call(file)).not_to match(/\b(Web|Application)\b/), file
    end
  end

  it "lets a view shape what it is given: no table, no query, and nothing of the gym but its row" do
    files
      .call("web/views")
      .each do |file|
        asked = code.call(file)[/\b(Store|Sequel)\b|(?<!:)\bgym\b(?!:|\[|_|\s*=)|\.(db|dataset)\b/]
        expect(asked).to be_nil, "#{file} asks #{asked}"
      end
  end

  it "holds cases over families nowhere but in their own files" do
    others =
      files.call("core").reject { |file| file.include?("/families/") } + files.call("application") + files.call("web") +
        files.call("formats")
    others.each { |file| expect(code.call(file)).not_to match(/case\s+\S*family|family(\.id)?\s*==/), file }
  end

  # Strings, symbols and keys of Ruby; what a line of TypeScript quotes.
  named =
    lambda do |file|
      quoted = /"([a-z_]+)"|'([a-z_]+)'/
      File
        .read(file)
        .scan(file.end_with?(".rb") ? Regexp.union(quoted, /(?<![\w"]):([a-z_]+)\b/, /\b([a-z_]+):(?!:)/) : quoted)
        .flatten
        .compact
    end

  it "names no family, no mechanism and no finding outside the core, its data, its words and the demo" do
    families = Verglas::Machines::Families.single
    # A few findings are called by everyday words.
    findings = families.flat_map { |family| family.findings.keys }.uniq - %i[start end contact]
    names = [
      *families.map(&:id),
      *Verglas::Machines::Families.all.map(&:id),
      *Verglas::Mechanisms::ALL.keys,
      *findings
    ].map(&:to_s).uniq
    front_end = Dir[File.join(root, "frontend/src/**/*.{ts,tsx}")].grep_v(/\.test\.ts|generated/)
    (%w[application store ops web].flat_map { |folder| files.call(folder) } + front_end)
      .reject { |file| file.include?("/migrations/") }
      .each { |file| expect(named.call(file) & names).to be_empty, file }
    expect(names.size).to be > 12
  end

  it "gives every table row a source" do
    Dir[File.join(root, "core/data/*.yml")].each do |file|
      # A row is a line, or a block that begins with its name.
      blocks, lines = File.read(file).split(/^(?=  - )/).partition { |part| part.start_with?("  - name:") }
      rows = [*blocks, *lines.flat_map(&:lines)].grep(/\{/).reject { |line| line.start_with?("#") }
      expect(rows.reject { |line| line.include?("source:") || line.match?(/\brow: \{[^}]*\}$/) }).to be_empty, file
    end
  end

  it "is told by documents that name no file which is not there" do
    own = Dir.glob("**/*.*", base: root).grep_v(%r{\A(vendor|var|coverage)/|node_modules/|/dist/})
    expect(own.size).to be > 900
    documents = Dir[File.join(root, "{README,docs/**/*}.md")]
    mentioned =
      documents.flat_map do |document|
        File.read(document).scan(%r{`([\w./]+\.(?:rb|yml|tsx?|json|md|yaml))`}).flatten.map { |name| [document, name] }
      end
    gone =
      mentioned.reject do |_, name|
        # A name with a number that counts up stands for many: records_N.json.
        pattern = %r{(\A|/)#{Regexp.escape(name).gsub(/_N\b/, "_\\d+")}\z}
        own.any?(pattern)
      end
    expect(gone).to be_empty
    expect(mentioned.size).to be > 60
  end

  it "names every file by the constant in it, so that the tree can be read as a list of contents" do
    expect { Zeitwerk::Loader.eager_load_all }.not_to raise_error
  end
end
