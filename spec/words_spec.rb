# frozen_string_literal: true

require "yaml"

# Sentences stand in config/messages only: none that is used is missing, none stands there unused.
RSpec.describe "The messages" do
  root = Verglas::ROOT
  read = ->(*globs) { globs.flat_map { |glob| Dir[File.join(root, glob)] }.to_h { |file| [file, File.read(file)] } }
  ruby =
    read.call(
      "core/**/*.rb",
      "application/**/*.rb",
      "formats/**/*.rb",
      "store/{tables,queries}/**/*.rb",
      "store/*.rb",
      "web/**/*.rb"
    )
  flat =
    lambda do |node, path = nil|
      node.is_a?(Hash) ? node.flat_map { |key, inner| flat.call(inner, [path, key].compact.join(".")) } : [path]
    end
  keys = flat.call(YAML.load_file(File.join(root, "config/messages/en.yml")).fetch("en"))
  # "barred.#{code}" becomes barred.*, the same key in one piece stays as it is.
  named =
    ruby.each_value.flat_map do |text|
      text.scan(/"((?:[a-z_]+\.)+(?:[a-z_]|#\{[^}]*\})*(?:\.(?:[a-z_]|#\{[^}]*\}|%s)*)*)"/).flatten
    end + Verglas::Formats::FamilyWords::KEYS.values.flatten
  forms = named.map { |key| key.gsub(/#\{[^}]*\}|%s/, "*") }.uniq
  tops = keys.map { |key| key[/\A[a-z_]+/] }.uniq

  it "are there wherever one is used by its whole name" do
    whole = forms.reject { |form| form.include?("*") }.select { |form| tops.include?(form[/\A[a-z_]+/]) }
    branches =
      keys.flat_map { |key| key.split(".").each_index.map { |index| key.split(".").take(index + 1).join(".") } }
    expect(whole.size).to be > 60
    expect(whole - branches).to be_empty
  end

  it "are all used: each by its whole name, or by a form whose parts are named in code or data" do
    # What is asked over HTTP has its name there, and another form in the audit trail.
    asked =
      File
        .read(File.join(root, "web/openapi.yaml"))
        .scan(/operationId: (\w+)/)
        .flatten
        .map { |name| name.gsub(/[A-Z]/) { |letter| "_#{letter.downcase}" } }
    spoken = [*ruby.values, *read.call("core/data/*.yml").values, *asked].join("\n").scan(/[a-z0-9_]+/).to_set
    patterns =
      forms
        .select { |form| form.include?("*") }
        .map { |form| Regexp.new("\\A#{Regexp.escape(form).gsub("\\*", "([a-z0-9_.]*)")}\\z") }
    # A part is named whole, or put together of two that are ("before", "lying_knee").
    said =
      lambda do |part|
        words = part.split("_")
        spoken.include?(part) ||
          (1...words.size).any? do |at|
            [words.take(at), words.drop(at)].all? { |half| spoken.include?(half.join("_")) }
          end
      end
    unused =
      keys.reject do |key|
        forms.include?(key) ||
          patterns.any? { |pattern| pattern.match(key)&.captures&.flat_map { |part| part.split(".") }&.all?(&said) }
      end
    expect(unused).to be_empty, unused.join(" ")
  end

  it "of the screens are all used, and every sentence of theirs stands there" do
    screens = JSON.parse(File.read(File.join(root, "config/messages/screens.en.json")))
    text = read.call("frontend/src/**/*.{ts,tsx}").reject { |file, _| file.include?("generated") }.values.join("\n")
    used = text.scan(/\bsay\(\s*"([^"]+)"/).flatten.uniq
    expect(used - screens.keys).to be_empty
    expect(screens.keys - used).to be_empty
    expect(screens.values).to all(satisfy { |sentence| !sentence.empty? })
  end

  # A key says what a sentence is there for, so that it can be worded anew under it. A label of one or two words may be
  # its own name.
  it "of the screens are called by their place and role, not spelt from the sentence" do
    letters = ->(text) { text.scan(/[[:alnum:]]+/).join.downcase }
    spelt =
      lambda do |name, sentence|
        name.scan(/[A-Z]?[a-z]+|[A-Z]+|\d+/).size > 2 &&
          [sentence.delete("{}"), sentence.gsub(/\{\w+\}/, "")].any? { |text| letters[text].start_with?(name.downcase) }
      end
    expect(spelt["notFittedYet", "Not fitted yet"]).to be(true)
    screens = JSON.parse(File.read(File.join(root, "config/messages/screens.en.json")))
    expect(screens.select { |key, sentence| spelt[key[/\w+\z/], sentence] }.keys).to be_empty
  end
end
