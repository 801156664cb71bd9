# frozen_string_literal: true

module Verglas
  module Web
    # What a route asks of the application: one question, whose answer a view shapes.
    Questions = Application::Questions
  end
end
