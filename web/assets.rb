# frozen_string_literal: true

module Verglas
  module Web
    # The front end's files, each read once, with the copies that the build made of it in other encodings. They are
    # written like any answer, with the server's bound on how long a reader may not read: a file that the server sends
    # by its path has none.
    class Assets
      FOLDER = "/assets/"
      # {ending of a copy => its encoding}, the smaller first.
      COPIES = { ".br" => "br", ".gz" => "gzip" }.freeze
      KEPT_BY_BROWSERS = {
        FOLDER => "public, max-age=31536000, immutable",
        "/robots.txt" => "public, max-age=3600",
        "/own-card.js" => "no-cache"
      }.freeze

      # The script that a page begins with, by its name, which changes with what is in it; nil where none was built.
      def self.entry(root)
        page = File.join(root, "index.html")
        File.read(page)[%r{<script type="module"[^>]* src="(/assets/[^"]+)"}, 1] if File.exist?(page)
      end

      def initialize(app, root:)
        @app = app
        names =
          Dir[File.join(root, "{robots.txt,own-card.js,assets/*}")].reject { |file| COPIES.key?(File.extname(file)) }
        @files = names.to_h { |file| [file.delete_prefix(root), encodings(file)] }.freeze
      end

      def call(env)
        path = env["PATH_INFO"]
        file = %w[GET HEAD].include?(env["REQUEST_METHOD"]) && @files[path]
        file ? answer(env, path, file) : @app.call(env)
      end

      private

      # {encoding => bytes}
      def encodings(file)
        copies =
          COPIES.filter_map { |ending, name| [name, File.binread(file + ending).freeze] if File.exist?(file + ending) }
        { **copies.to_h, "identity" => File.binread(file).freeze }
      end

      def answer(env, path, file)
        chosen = encoding(env, file)
        bytes = file.fetch(chosen)
        headers = {
          "content-type" => Rack::Mime.mime_type(File.extname(path), "application/octet-stream"),
          "content-length" => bytes.bytesize.to_s,
          "cache-control" => KEPT_BY_BROWSERS.fetch(path, KEPT_BY_BROWSERS[FOLDER]),
          "vary" => "accept-encoding"
        }
        headers["content-encoding"] = chosen unless chosen == "identity"
        [200, headers, env["REQUEST_METHOD"] == "HEAD" ? [] : [bytes]]
      end

      # The first that the browser takes.
      def encoding(env, file)
        taken = Rack::Utils.q_values(env["HTTP_ACCEPT_ENCODING"]).to_h
        file.keys.find { |name| (taken[name] || taken["*"] || 0).positive? } || "identity"
      end
    end
  end
end
