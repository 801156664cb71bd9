# frozen_string_literal: true

require "fileutils"
require "mail"
require "tmpdir"

# Letters as the stand-in writes them: a folder of an example's own, told to the server by the environment.
module Posted
  # Yields with letters going into the folder, and these changes of what the server is told; as it was afterwards.
  def posting(changes = {})
    told = { "MAIL_FOLDER" => folder, "MAIL_FROM" => "loft@netloft.example", "PUBLIC_URL" => "https://fit.example" }
    told.merge!(changes)
    before = told.to_h { |name, _| [name, ENV.fetch(name, nil)] }
    ENV.update(told)
    yield
  ensure
    ENV.update(before)
  end

  def folder = @folder ||= Dir.mktmpdir
  def letters = Dir[File.join(folder, "*.eml")].map { |file| Mail.read(file) }
  def until_posted = Timeout.timeout(5) { sleep(0.02) while letters.empty? }
  def forget_posted = FileUtils.remove_entry(folder)
end
