# frozen_string_literal: true

require "json"
require "yaml"

# Requests that nobody would send, made from web/openapi.yaml by a seeded generator: mostly right ones with one to three
# things wrong (a value, a key, a header, the address, the bytes themselves), so that they come as deep as they can.
class Fuzz
  Request = Struct.new(:verb, :path, :raw, :headers, keyword_init: true)

  LONG = "x" * 5000
  NASTY = [
    nil,
    true,
    false,
    0,
    -1,
    1,
    1.5,
    10**18,
    10**30,
    -(10**30),
    1e308,
    -1e308,
    0.1,
    1e-300,
    "",
    " ",
    "\n",
    "a\n",
    "0",
    "-1",
    "NaN",
    "null",
    "'; DROP TABLE clients; --",
    "%00",
    "\u202Eabc",
    "\u{1F9CA}" * 40,
    LONG,
    "../../etc/passwd",
    "<script>",
    "2024-02-30",
    "9999-12-31",
    [],
    [nil],
    [[[[]]]],
    {},
    { "a" => { "b" => [] } },
    [1] * 100,
    Array.new(70, &:to_s)
  ].freeze
  RAW = [
    "",
    "{",
    "[]",
    "null",
    "5",
    '"x"',
    "{\"a\":1e999}",
    "{\"a\":#{"9" * 400}}",
    "#{"[" * 200}#{"]" * 200}",
    "\xFF\xFE\x00",
    "{\"a\":\"\\u0000\"}",
    "{\"a\":\"\\ud800\"}",
    "a=b&c=%",
    "{\"a\":1,\"a\":2}"
  ].freeze
  TYPES = [
    "text/plain",
    "application/x-www-form-urlencoded",
    "multipart/form-data; boundary=x",
    "multipart/form-data",
    "application/json; charset=utf-16",
    "application/jsonp",
    "",
    nil,
    "application/json;;",
    "image/jpeg"
  ].freeze
  SEGMENTS = ["x", "%00", "%0A", "..", "%2e%2e", "0", "-1", LONG, "%FF", "%", "a%0Ab", "'", "null"].freeze
  QUERIES = [
    "?",
    "?a=%",
    "?version=1%0A",
    "?version=#{"9" * 30}",
    "?exercise[]=x",
    "?exercise=%00",
    "?a[b]=1&a=2",
    "?#{"a&" * 300}",
    "?version=",
    "?%FF=1"
  ].freeze
  VERBS = %w[head options trace put delete patch get post link foo].freeze
  HEADERS = {
    "Idempotency-Key" => ["", "x", "00000000-0000-0000-0000-000000000000\t", "a" * 4000, nil],
    "Cookie" => ["verglas=x", "verglas=%00", "verglas_tablet=' OR 1", ";;;=;"],
    "Accept" => ["*/*;q=x", ""],
    "Range" => %w[bytes=-1 x],
    "X-Forwarded-For" => ["1.2.3.4", "' OR 1", ","],
    "Content-Length" => %w[-1 x]
  }.freeze

  # known: {property => [right values]}; ids: {word before an id, or first word of a path => [ids]}.
  def initialize(
    seed:,
    known: {},
    ids: {},
    document: YAML.safe_load_file(File.join(Verglas::ROOT, "web", "openapi.yaml"), aliases: true)
  )
    @random = Random.new(seed)
    @document = document
    @known = known
    @ids = ids
    @operations =
      document["paths"].flat_map do |path, item|
        item.slice("get", "post", "put", "patch", "delete").map { |method, operation| [method, path, operation, item] }
      end
  end

  attr_reader :operations

  # The next request, with something wrong most of the time.
  def request
    operation = pick(operations)
    body = body_of(operation)
    request = plain(operation)
    rand(100) < 30 || rand(1..3).times { body = spoilt(request, body) }
    request.raw ||= body.nil? ? nil : JSON.generate(body)
    request
  rescue JSON::GeneratorError
    retry
  end

  # One that the document allows, of one of its operations.
  def right(operation)
    plain(operation).tap do |request|
      request.raw = JSON.generate(body_of(operation)) if operation[2].key?("requestBody")
    end
  end

  private

  def rand(range) = @random.rand(range)
  def pick(list) = list[rand(list.size)]
  def uuid = [8, 4, 4, 4, 12].map { |digits| Array.new(digits) { rand(16).to_s(16) }.join }.join("-")

  def plain((verb, path, operation))
    asked =
      operation
        .fetch("parameters", [])
        .select { |one| one["in"] == "query" && one["required"] }
        .map { |one| "#{one["name"]}=#{value(one["schema"], one["name"])}" }
    Request.new(
      verb: verb,
      path: [address(path), *asked.join("&")[/.+/]].join("?"),
      headers: {
        "Content-Type" => "application/json",
        "Idempotency-Key" => uuid
      }
    )
  end

  def body_of((_, _, operation))
    schema = body_schema(operation)
    schema && value(schema, "")
  end

  def body_schema(operation)
    content = resolved(operation["requestBody"] || {})["content"]
    content&.dig("application/json", "schema")
  end

  def resolved(schema)
    schema = @document.dig(*schema["$ref"].delete_prefix("#/").split("/")) while schema.key?("$ref")
    schema
  end

  def address(path)
    ids = @ids[path[%r{(\w+)/\{id\}}, 1]] || @ids.fetch(path.split("/")[2], [uuid])
    path.gsub(/\{(\w+)\}/) { pick(@known[Regexp.last_match(1)] || ids).to_s }
  end

  # Something that the schema allows.
  def value(schema, name)
    return pick(@known[name]) if @known.key?(name) && rand(10) < 8

    schema = resolved(schema)
    choice = schema["anyOf"] || schema["oneOf"]
    return value(pick(choice), name) if choice&.none? { |one| one.keys == ["required"] }
    return pick(schema["enum"]) if schema["enum"]

    typed(schema, pick(Array(schema["type"] || "object")), name)
  end

  def typed(schema, type, name)
    case type
    when "object"
      object(schema)
    when "array"
      Array.new(
        rand(schema.fetch("minItems", 0)..[schema.fetch("maxItems", 4), schema.fetch("minItems", 0) + 3].min)
      ) { value(schema["items"] || {}, name) }
    when "integer"
      rand(schema.fetch("minimum", 0).to_i..[schema.fetch("maximum", 9), schema.fetch("minimum", 0) + 9].min.to_i)
    when "number"
      rand(schema.fetch("minimum", 0).to_f..schema.fetch("maximum", 100).to_f)
    when "boolean"
      rand(2).zero?
    when "null"
      nil
    else
      if schema["pattern"]
        patterned(schema["pattern"])
      else
        pick(["a", "Ada Quill"]).ljust(schema.fetch("minLength", 0), "x")
      end
    end
  end

  # An id, or the key of an exercise on a machine with one.
  def patterned(pattern) = uuid.then { |id| "#{id}/".match?(pattern) && !id.match?(pattern) ? "#{id}/" : id }

  def object(schema)
    required = schema.fetch("required", []) + (schema.key?("oneOf") ? pick(schema["oneOf"])["required"] : [])
    others = schema.fetch("oneOf", []).flat_map { |one| one["required"] } - required
    own = schema.fetch("properties", {}).except(*others).select { |name, _| required.include?(name) || rand(3).zero? }
    own.to_h { |name, one| [name, value(one, name)] }
  end

  # One thing wrong; answers the body.
  def spoilt(request, body)
    case rand(13)
    when 0
      request.headers["Content-Type"] = pick(TYPES)
    when 1
      request.raw = pick(RAW)
    when 2
      request.path = with_segment(request.path)
    when 3
      request.path += pick(QUERIES)
    when 4
      request.verb = pick(VERBS)
    when 5
      name = pick(HEADERS.keys)
      request.headers[name] = pick(HEADERS[name])
    else
      return bent(body)
    end
    body
  end

  def with_segment(path)
    parts = path.split("/")
    parts[rand(1...parts.size)] = pick(SEGMENTS) if parts.size > 1
    parts.join("/")
  end

  # A value somewhere in it replaced, left out or added.
  def bent(value, depth = 0)
    return pick(NASTY) if depth.positive? && rand(3).zero?

    case value
    when Hash
      bent_hash(value, depth)
    when Array
      value.empty? ? pick(NASTY) : value.dup.tap { |list| list[rand(list.size)] = bent(pick(value), depth + 1) }
    else
      pick(NASTY)
    end
  end

  def bent_hash(hash, depth)
    return hash.merge("surprise" => pick(NASTY)) if hash.empty? || rand(8).zero?

    name = pick(hash.keys)
    rand(6).zero? ? hash.except(name) : hash.merge(name => bent(hash[name], depth + 1))
  end
end
