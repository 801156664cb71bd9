# frozen_string_literal: true

require "web_helper"

# Web::Contract keeps what openapi_first makes anew for each request. It leans on the library's insides: this says when
# to drop it.
RSpec.describe Verglas::Web::Contract do
  let(:plain) { OpenapiFirst.load(described_class::FILE) }

  it "is wanted as long as the library makes paths and operations anew" do
    item, again = Array.new(2) { plain.send(:find_path_item_and_params, "/api/ping").first }
    expect(item).not_to equal(again), "openapi_first keeps its paths now: Contract::Kept can go"
    expect(item.operation("get")).not_to equal(item.operation("get")),
    "openapi_first keeps its operations now: Contract::Kept can go"
  end

  it "finds for every path and method what the library finds without it" do
    kept = described_class.new.definition
    YAML.safe_load_file(described_class::FILE, aliases: true)["paths"].each do |path, item|
      address = path.gsub(/\{\w+\}/, SecureRandom.uuid)
      item
        .keys
        .grep(/\A(get|put|post|patch|delete)\z/)
        .each do |method|
          request = Rack::Request.new(Rack::MockRequest.env_for(address, method: method.upcase))
          expect([kept, plain].map { |one| one.request(request).operation["operationId"] }.uniq.size).to eq(1),
          "#{method} #{path}"
        end
    end
  end
end
