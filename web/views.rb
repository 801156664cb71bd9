# frozen_string_literal: true

module Verglas
  module Web
    # Core values and rows as JSON data of web/openapi.yaml.
    module Views
      Told = Application::Told
    end
  end
end
