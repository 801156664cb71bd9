# frozen_string_literal: true

require "json_schemer"

# Whether an answer is what web/openapi.yaml says of its route. openapi_first makes the schema of an answer anew each
# time it is asked, which took more of these specs than the application did; here each is made once, and the long words
# of a complaint only where there is one.
class Answers
  DIALECT = "https://spec.openapis.org/oas/3.1/dialect/base"

  # definition: the document, as openapi_first has read it.
  def initialize(definition)
    @definition = definition
    @schemas = {}.compare_by_identity
  end

  # What is wrong with a Rack response to a Rack request, in words; nil where nothing is, or where the document knows no
  # such route.
  def complaint(request, response)
    asked = @definition.request(request)
    return unless asked.known?

    content = contents(asked.operation, response.status) or return "#{response.status} is not said in the document"
    return("a body where none is said" unless response.body.empty?) if content.empty?

    type = response.content_type.to_s.split(";").first
    return "#{type.inspect} is not said in the document" unless content.key?(type)

    body_complaint(
      schema(content.fetch(type)["schema"]),
      type == "application/json" ? JSON.parse(response.body) : response.body
    )
  rescue JSON::ParserError
    "not JSON"
  end

  private

  # What the document says of an answer, by content type; nil where it says nothing of that status.
  def contents(operation, status)
    said = operation["responses"]
    answer = said[status] || said[status.to_s] || said["default"]
    answer && (answer["content"] || {})
  end

  def schema(document)
    @schemas[document] ||= JSONSchemer.schema(document, meta_schema: DIALECT, access_mode: "read")
  end

  def body_complaint(schema, body)
    return if schema.valid?(body)
    schema.validate(body).first(3).map { |found| "#{found["data_pointer"]}: #{found["error"]}" }.join("; ")
  end
end
